import Link from '@/ui/shell/link';
import { Page, Part } from '@/ui/shell/page';
import { LinkButton } from '@/ui/shell/link-button';
import { CalendarAddress } from './calendar-address';
import { Copies } from './copies';
import { OtherStudio } from './other-studio';
import type { loadStudio } from './queries';
import { StudioForm } from './studio-form';
import styles from './studio-page.module.css';

/** The studio: its name, its clock and units, where its data is, and the copies of it. */
export function StudioPage(loaded: Awaited<ReturnType<typeof loadStudio>>) {
  const { card, isDemo, aside, isHere, file, copies, clock, calendarKey } = loaded;
  return (
    <Page
      title="Studio"
      lead={isDemo ? 'This is the demo studio: made-up people, to try things on.' : card.name}
      action={<Link href="/help">Help: keys and places</Link>}
    >
      <div className={styles.columns}>
        <div>
          <Part title="Name, clock and units">
            <StudioForm card={card} key={JSON.stringify(card)} />
          </Part>
          <Part title="Phones and people">
            <p>
              Plans and the chair on every phone and tablet of the studio, each for whoever signed in: owner,
              stylists, assistants.
            </p>
            <LinkButton href="/studio/people">Phones and people</LinkButton>
          </Part>
          {isHere && (
            <Part title={isDemo ? 'A studio of your own' : 'Another studio'}>
              <OtherStudio isDemo={isDemo} aside={aside} timeZone={card.timeZone} />
            </Part>
          )}
        </div>
        <div>
          <Part title="Your data">
            {isHere ? (
              <Copies file={file} copies={copies} clock={clock} />
            ) : (
              <p>Copies are taken and put back at the studio’s computer.</p>
            )}
            <p>
              <Link href="/studio/tables">Tables: sets, days of wear and checks, out and in</Link>
            </p>
          </Part>
          {isHere && (
            <Part title="Your calendar">
              <CalendarAddress calendarKey={calendarKey} />
            </Part>
          )}
        </div>
      </div>
    </Page>
  );
}
