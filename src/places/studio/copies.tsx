'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Clock } from '@/core/formats/display';
import { ConfirmDialog } from '@/ui/feedback/confirm-dialog';
import { formatMoment } from '@/ui/format';
import { useAction } from '@/ui/hooks/use-action';
import { restoreCopy, takeCopy } from './actions';
import styles from './studio-page.module.css';

interface Copy {
  readonly name: string;
  readonly takenAtMs: number;
  readonly bytes: number;
}

const MB = 1024 * 1024;
const size = (bytes: number) =>
  bytes < MB ? `${Math.max(1, Math.round(bytes / 1024))} kB` : `${(bytes / MB).toFixed(1)} MB`;

/** Where the data is, and the copies of it: taken by themselves, taken now, put back. */
export function Copies({
  file,
  copies,
  clock,
}: {
  file: { readonly path: string; readonly bytes: number; readonly copies: string } | null;
  copies: readonly Copy[];
  clock: Clock;
}) {
  const router = useRouter();
  const { run, isBusy, problem } = useAction();
  const [chosen, setChosen] = useState<Copy | null>(null);
  const [said, setSaid] = useState('');
  if (!file) return <p>The data is kept on a database server; copies are taken there.</p>;
  return (
    <>
      <dl className={styles.facts}>
        <dt>Everything is in one file</dt>
        <dd>
          {file.path}, {size(file.bytes)}
        </dd>
        <dt>Copies are in</dt>
        <dd>{file.copies}</dd>
      </dl>
      <p>
        The program copies it about every hour in which something changed: the last six copies stay, then one
        a day for two weeks and one a week for two months. Each is opened and checked before it counts. Keep
        one on another disk now and then.
      </p>
      <Button
        variant="outlined"
        disabled={isBusy}
        onClick={() =>
          run(
            () => takeCopy({}),
            () => {
              setSaid('A copy is taken');
              router.refresh();
            },
          )
        }
      >
        Take a copy now
      </Button>{' '}
      <span role="status">{isBusy ? 'working…' : said}</span>
      {problem}
      {copies.length > 0 && (
        <ul className={styles.copies} aria-label="Copies">
          {copies.map((copy) => (
            <li key={copy.name}>
              <span>
                {formatMoment(copy.takenAtMs, clock)} <small>{size(copy.bytes)}</small>
              </span>
              <Button size="small" disabled={isBusy} onClick={() => setChosen(copy)}>
                Put back
              </Button>
            </li>
          ))}
        </ul>
      )}
      {chosen && (
        <ConfirmDialog
          title={`Put back the copy of ${formatMoment(chosen.takenAtMs, clock)}?`}
          confirm="Put it back"
          onCancel={() => setChosen(null)}
          onConfirm={() => {
            setChosen(null);
            void run(
              () => restoreCopy({ name: chosen.name }),
              ({ aside }) => {
                setSaid(aside ? `Put back. What was there is kept as ${aside}` : 'Put back');
                router.refresh();
              },
            );
          }}
        >
          Everything will be as it was then. What was entered since is put aside in a file beside the
          database, so that nothing is lost; taps that wait on a tablet are sent afterwards.
        </ConfirmDialog>
      )}
    </>
  );
}
