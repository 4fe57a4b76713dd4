import Link from 'next/link';
import { Page, Part } from '@/ui/shell/page';
import { CalendarAddress } from './calendar-address';
import { Copies } from './copies';
import { OtherStudio } from './other-studio';
import type { loadStudio } from './queries';
import { StudioForm } from './studio-form';
import styles from './studio-page.module.css';

/** The studio: its name, its clock and units, where its data is, and the copies of it. */
export function StudioPage(loaded: Awaited<ReturnType<typeof loadStudio>>) {
  const { card, isDemo, aside, file, copies, clock, calendarKey } = loaded;
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
          <Part title={isDemo ? 'A studio of your own' : 'Another studio'}>
            <OtherStudio isDemo={isDemo} aside={aside} timeZone={card.timeZone} />
          </Part>
        </div>
        <div>
          <Part title="Your data">
            <Copies file={file} copies={copies} clock={clock} />
            <p>
              <Link href="/studio/tables">Tables: sets, days of wear and checks, out and in</Link>
            </p>
          </Part>
          <Part title="Your calendar">
            <CalendarAddress calendarKey={calendarKey} />
          </Part>
        </div>
      </div>
    </Page>
  );
}
