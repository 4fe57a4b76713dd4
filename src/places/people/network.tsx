'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Clock } from '@/core/formats/display';
import { ConfirmDialog } from '@/ui/feedback/confirm-dialog';
import { formatDay } from '@/ui/format';
import { useAction } from '@/ui/hooks/use-action';
import { QrCode } from '@/ui/people/qr-code';
import { renewAuthority, turnNetwork } from './actions';
import styles from './people.module.css';
import type { loadPeople } from './queries';

type Loaded = Awaited<ReturnType<typeof loadPeople>>;

/** A fingerprint in lines of eight pairs, as the phone shows it too. */
const inLines = (fingerprint: string) =>
  (fingerprint.match(/(?:[0-9A-F]{2}:?){1,8}/g) ?? []).map((line) => line.replaceAll(':', ' '));

/** Whether phones come in, at which address, and how they come to trust it. */
export function Network({ network, isHere, clock }: Pick<Loaded, 'network' | 'isHere'> & { clock: Clock }) {
  const { run, isBusy, problem } = useAction();
  const [isAsked, setAsked] = useState(false);
  if (!network)
    return <p>Phones come in once the program runs as “npm run up” or “npm run start” begins it.</p>;
  const { isOn, isFixed, origin, byAddress, offer, fingerprint, movedAtMs, name, formerName } = network;
  return (
    <div className={styles.stack}>
      <p className={styles.state}>
        <span className={styles.lamp} data-on={isOn} aria-hidden="true" />
        <b>{isOn ? 'Phones on this network can come in' : 'Only this computer'}</b>
        {isHere && !isFixed && (
          <Button
            variant={isOn ? 'text' : 'contained'}
            size="small"
            disabled={isBusy}
            onClick={() => void run(() => turnNetwork({ isOn: !isOn }))}
          >
            {isOn ? 'Let none in any more' : 'Let phones in'}
          </Button>
        )}
      </p>
      {isFixed && <p className={styles.soft}>The setting LAN decides it.</p>}
      {!isHere && <p className={styles.soft}>This is switched at the studio’s computer.</p>}
      {!isOn && (
        <p className={styles.soft}>
          Everything that goes over the network is encrypted; whoever comes in is paired by you and signs in.
          Nothing leaves the studio.
        </p>
      )}
      {isOn && offer && fingerprint && (
        <div className={styles.trust}>
          <QrCode text={offer} label={`Code that opens ${offer}`} />
          <div>
            <p>
              <b>A new phone first.</b> This code opens <a href={offer}>{offer.replace('http://', '')}</a>,
              where it learns to trust this computer. The letters there must be these:
            </p>
            <p className={styles.print}>
              {inLines(fingerprint).map((line) => (
                <span key={line}>
                  {line}
                  <br />
                </span>
              ))}
            </p>
          </div>
        </div>
      )}
      {isOn && (
        <p>
          Keen Spiral for phones: <a href={origin ?? ''}>{origin?.replace('https://', '')}</a>
          {byAddress && byAddress !== origin && (
            <>
              , or <a href={byAddress}>{byAddress.replace('https://', '')}</a> where the name is not known
            </>
          )}
        </p>
      )}
      {isOn && movedAtMs !== null && (
        <Alert severity="info">
          The address of this computer changed on {formatDay(movedAtMs, clock)}: codes printed before lead to
          the old one. Have the router always give it the same address.
        </Alert>
      )}
      {isOn && formerName !== null && (
        <Alert
          severity="warning"
          action={
            isHere && (
              <Button color="inherit" size="small" onClick={() => setAsked(true)}>
                Make it anew
              </Button>
            )
          }
        >
          This computer was called {formerName} and is now {name}. Phones trust the old name only.
        </Alert>
      )}
      {problem}
      {isAsked && (
        <ConfirmDialog
          title={`Make the trust anew, for ${name}?`}
          confirm="Make it anew"
          onCancel={() => setAsked(false)}
          onConfirm={() => {
            setAsked(false);
            void run(() => renewAuthority({}));
          }}
        >
          Every phone then has to learn to trust it again, and to be paired again under the new name.
        </ConfirmDialog>
      )}
    </div>
  );
}
