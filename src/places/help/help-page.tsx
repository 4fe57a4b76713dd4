import Link from '@/ui/shell/link';
import { PLACES } from '@/ui/shell/places-list';
import { Page, Part } from '@/ui/shell/page';
import { CHAIR_KEYS } from '../chair/keys';
import styles from './help-page.module.css';

const OTHER_KEYS = [
  {
    key: 'undo',
    shown: 'Ctrl or ⌘ Z',
    does: 'in Plan, take the last change back; with Shift, bring it again',
  },
  { key: 'map', shown: 'Arrows', does: 'on the map, go from section to section' },
  {
    key: 'ribbon',
    shown: 'Arrows',
    does: 'on the ribbon, move the time to be ready, the beginning or a drying step by a quarter of an hour; with Shift, by an hour',
  },
  {
    key: 'digits',
    shown: '0 to 9',
    does: 'on a scale of wear, rate it; 1 and then 0 is ten; arrows go by half points',
  },
] as const;

interface Key {
  readonly key: string;
  readonly shown: string;
  readonly does: string;
}

const Keys = ({ keys }: { keys: readonly Key[] }) => (
  <dl className={styles.keys}>
    {keys.map(({ key, shown, does }) => (
      <div key={key}>
        <dt>
          <kbd>{shown}</kbd>
        </dt>
        <dd>{does}</dd>
      </div>
    ))}
  </dl>
);

/** Keys, and what each place is for. */
export function HelpPage() {
  return (
    <Page title="Help" lead="Keys, and what each place is for.">
      <Part title="Places">
        <dl className={styles.list}>
          {PLACES.map(({ href, label, isFor }) => (
            <div key={href}>
              <dt>
                <Link href={href}>{label}</Link>
              </dt>
              <dd>{isFor}</dd>
            </div>
          ))}
          <div>
            <dt>
              <Link href="/studio">Studio</Link>
            </dt>
            <dd>
              Name, clock and units; where your data is; copies of it, taken and put back; the demo put aside.
            </dd>
          </div>
        </dl>
      </Part>
      <Part title="Keys at the chair">
        <Keys keys={CHAIR_KEYS} />
      </Part>
      <Part title="Keys elsewhere">
        <Keys keys={OTHER_KEYS} />
      </Part>
      <Part title="Good to know">
        <ul>
          <li>Nothing needs saving in Plan: it keeps itself, and says so at the top.</li>
          <li>A number that is underlined tells how it is known and what pushed it.</li>
          <li>
            Taps at the chair wait on the device when the connection is gone, and are sent from any page
            after.
          </li>
          <li>What was entered wrongly can be put right on the page of the set, under “What happened”.</li>
          <li>Any page can be printed as it is.</li>
        </ul>
      </Part>
    </Page>
  );
}
