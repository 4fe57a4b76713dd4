import type { HeadLine } from '@/core/evidence/five-lines';
import { Sureness } from '@/ui/known/sureness';
import styles from './known-lines.module.css';

/** What is known of a head in five lines, each with how sure and from what. */
export function KnownLines({ lines }: { readonly lines: readonly HeadLine[] }) {
  return (
    <section className={styles.known} aria-labelledby="known-title">
      <h2 id="known-title">What is known of her</h2>
      <dl>
        {lines.map(({ id, label, text, sureness, from, strength }) => (
          <div key={id} data-known={strength > 0}>
            <dt>{label}</dt>
            <dd>
              <b>{text}</b>
              <span>
                {sureness && (
                  <>
                    <Sureness strength={strength} /> {sureness},{' '}
                  </>
                )}
                {from}
              </span>
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
