import type { ReactNode } from 'react';
import { Rail } from '@/ui/shell/rail';
import styles from './layout.module.css';

export default function PlacesLayout({ children }: { children: ReactNode }) {
  return (
    <div className={styles.frame}>
      <a className={styles.skip} href="#work">
        Skip to the work
      </a>
      <Rail />
      <main id="work" className={styles.work}>
        {children}
      </main>
    </div>
  );
}
