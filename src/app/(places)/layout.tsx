import type { ReactNode } from 'react';
import { RefusedAnywhere } from '@/places/chair/refused-taps';
import { loadShown } from '@/places/studio/queries';
import { ZoneNotice } from '@/ui/shell/zone-notice';
import { Rail } from '@/ui/shell/rail';
import { Look } from '@/ui/theme/look';
import styles from './layout.module.css';

export default async function PlacesLayout({ children }: { children: ReactNode }) {
  const { name, role, person } = await loadShown();
  return (
    <Look>
      <div className={styles.frame}>
        <a className={styles.skip} href="#work">
          Skip to the work
        </a>
        <Rail role={role} person={person} />
        <main id="work" className={styles.work}>
          <ZoneNotice studio={name} />
          <RefusedAnywhere />
          {children}
        </main>
      </div>
    </Look>
  );
}
