'use client';
import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { formatDay } from '@/ui/format';
import { useAction } from '@/ui/hooks/use-action';
import { QrCode } from '@/ui/people/qr-code';
import { useUnits } from '@/ui/units-context';
import { linksOfPlan, makeClientLink, revokeClientLink } from '../actions';
import styles from './sheet-dialog.module.css';

interface Given {
  readonly id: string;
  readonly untilMs: number;
  readonly lastSeenMs: number | null;
}

/** Links by which whoever wears it reads this one plan, and how it wears, on her own phone. */
export function ClientLinks({ planId }: { planId: string }) {
  const { clock } = useUnits();
  const [given, setGiven] = useState<readonly Given[]>([]);
  const [made, setMade] = useState<string | null>(null);
  const { run, isBusy, problem } = useAction();
  useEffect(() => {
    void run(() => linksOfPlan({ planId }), setGiven);
  }, [planId, run]);
  return (
    <>
      <h3>For her phone</h3>
      <p>She reads this plan and its days, and nothing else, while she is on the studio’s network.</p>
      {made ? (
        <>
          <QrCode text={made} label="Code that opens this plan on her phone" />
          <p>It is shown once: she keeps it as soon as she opens it.</p>
        </>
      ) : (
        <Button
          disabled={isBusy}
          onClick={() =>
            void run(
              () => makeClientLink({ planId }),
              ({ link, given: all }) => {
                setMade(link);
                setGiven(all);
              },
            )
          }
        >
          Make a link for her
        </Button>
      )}
      {given.map(({ id, untilMs, lastSeenMs }) => (
        <p key={id} className={styles.given}>
          <span>
            Opens until {formatDay(untilMs, clock)}
            {lastSeenMs === null ? ', not opened yet' : `, last opened ${formatDay(lastSeenMs, clock)}`}
          </span>
          <Button
            size="small"
            disabled={isBusy}
            onClick={() =>
              void run(
                () => revokeClientLink({ planId, linkId: id }),
                (left) => {
                  setGiven(left);
                  setMade(null);
                },
              )
            }
          >
            Take it back
          </Button>
        </p>
      ))}
      {problem}
    </>
  );
}
