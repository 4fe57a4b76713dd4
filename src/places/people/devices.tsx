'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Clock } from '@/core/formats/display';
import { MINUTE_MS } from '@/core/units/time';
import { ConfirmDialog } from '@/ui/feedback/confirm-dialog';
import { formatWhen } from '@/ui/format';
import { useAction } from '@/ui/hooks/use-action';
import { ROLE_WORDS } from '@/ui/people/role-words';
import { revokeDevice } from './actions';
import { PairingDialog } from './pairing-dialog';
import styles from './people.module.css';
import type { loadPeople } from './queries';

type Loaded = Awaited<ReturnType<typeof loadPeople>>;
type Device = Loaded['devices'][number];

/** A device is “here now” as long as it was seen so lately, ms. */
const HERE_NOW_MS = 2 * MINUTE_MS;

/** Phones and tablets that are paired. */
export function Devices({
  devices,
  canPair,
  clock,
  nowMs,
}: Pick<Loaded, 'devices' | 'canPair' | 'nowMs'> & { clock: Clock }) {
  const router = useRouter();
  const { run, problem } = useAction();
  const [leaving, setLeaving] = useState<Device | null>(null);
  const [isPairing, setPairing] = useState(false);
  const seen = ({ lastSeenMs }: Device) =>
    nowMs - lastSeenMs < HERE_NOW_MS ? 'here now' : `last seen ${formatWhen(lastSeenMs, clock, nowMs)}`;
  return (
    <>
      {devices.length === 0 ? (
        <p className={styles.soft}>None is paired yet.</p>
      ) : (
        <ul className={styles.list} aria-label="Phones and tablets">
          {devices.map((device) => (
            <li key={device.id}>
              <span className={styles.who}>
                <b>{device.name}</b>
                {device.isThis && ' (this one)'}
                <small>
                  {[
                    `at most ${ROLE_WORDS[device.role].label.toLowerCase()}`,
                    device.signedIn === null ? 'nobody signed in' : `${device.signedIn} signed in`,
                    seen(device),
                  ].join(', ')}
                </small>
              </span>
              <Button
                size="small"
                aria-label={`Let in no more: ${device.name}`}
                onClick={() => setLeaving(device)}
              >
                Let in no more
              </Button>
            </li>
          ))}
        </ul>
      )}
      {problem}
      <Button variant="outlined" disabled={!canPair} onClick={() => setPairing(true)}>
        Pair a phone or tablet
      </Button>
      {!canPair && <p className={styles.soft}>Let phones in first.</p>}
      {isPairing && (
        <PairingDialog
          onClose={() => {
            setPairing(false);
            router.refresh();
          }}
        />
      )}
      {leaving && (
        <ConfirmDialog
          title={`Let ${leaving.name} in no more?`}
          confirm="Let it in no more"
          onCancel={() => setLeaving(null)}
          onConfirm={() => {
            setLeaving(null);
            void run(() => revokeDevice({ deviceId: leaving.id }));
          }}
        >
          Whoever is signed in on it is signed out at once. Taps that wait on it are kept there, and are sent
          once it is paired again.
        </ConfirmDialog>
      )}
    </>
  );
}
