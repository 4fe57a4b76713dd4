import Link from '@/ui/shell/link';
import { Page, Part } from '@/ui/shell/page';
import { Deeds } from './deeds';
import { Devices } from './devices';
import { Network } from './network';
import { OwnerForm } from './owner-form';
import { People } from './people';
import styles from './people.module.css';
import type { loadPeople } from './queries';

/** Who works here and on what, and how phones come in. */
export function PeoplePage(loaded: Awaited<ReturnType<typeof loadPeople>>) {
  const { people, devices, deeds, network, isHere, canPair, clock, nowMs } = loaded;
  const hasOwner = people.some(({ role }) => role === 'owner');
  return (
    <Page
      title="Phones and people"
      lead="Plans and the chair on every phone and tablet of the studio, each for whoever signed in."
      action={<Link href="/studio">Studio</Link>}
    >
      {!hasOwner && isHere ? (
        <Part title="First, who you are">
          <OwnerForm />
        </Part>
      ) : (
        <div className={styles.columns}>
          <div>
            <Part title="On this network">
              <Network network={network} isHere={isHere} clock={clock} />
            </Part>
            <Part title="People">
              <People people={people} />
            </Part>
          </div>
          <div>
            <Part title="Phones and tablets">
              <Devices devices={devices} canPair={canPair} clock={clock} nowMs={nowMs} />
            </Part>
            <Part title="Who did what" note="the last two years are kept">
              <Deeds deeds={deeds} clock={clock} nowMs={nowMs} />
            </Part>
          </div>
        </div>
      )}
    </Page>
  );
}
