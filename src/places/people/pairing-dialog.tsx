'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useEffect, useState } from 'react';
import { ROLES, type Role } from '@/core/people/permission';
import { ChoiceList } from '@/ui/fields/choice-list';
import { useAction } from '@/ui/hooks/use-action';
import { QrCode } from '@/ui/people/qr-code';
import { ROLE_WORDS } from '@/ui/people/role-words';
import { makePairingCode } from './actions';
import styles from './people.module.css';

const SECOND_MS = 1000;
const CHOICES = [...ROLES].reverse().map((value) => ({ value, ...ROLE_WORDS[value] }));

interface Code {
  readonly link: string;
  readonly page: string;
  readonly typed: string;
  /** When it ends, by the clock of this page. */
  readonly endsMs: number;
}

/** A code to pair one device with: to be read by its camera, or typed. */
export function PairingDialog({ onClose }: { onClose: () => void }) {
  const [role, setRole] = useState<Role>('assistant');
  const [code, setCode] = useState<Code | null>(null);
  const [leftS, setLeftS] = useState(0);
  const { run, isBusy, problem } = useAction();
  const make = () =>
    run(
      () => makePairingCode({ role }),
      ({ lastsMs, ...made }) => {
        setLeftS(Math.round(lastsMs / SECOND_MS));
        setCode({ ...made, endsMs: Date.now() + lastsMs });
      },
    );
  useEffect(() => {
    if (!code) return;
    const timer = setInterval(
      () => setLeftS(Math.max(0, Math.ceil((code.endsMs - Date.now()) / SECOND_MS))),
      SECOND_MS,
    );
    return () => clearInterval(timer);
  }, [code]);
  const isOver = code !== null && leftS === 0;
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="pairing-title">
      <DialogTitle id="pairing-title">Pair a phone or tablet</DialogTitle>
      <DialogContent>
        {!code ? (
          <>
            <p>The most that anybody may do on it, whoever signs in:</p>
            <ChoiceList
              legend="The most that anybody may do on it"
              value={role}
              choices={CHOICES}
              onChange={setRole}
            />
          </>
        ) : isOver ? (
          <p>This code is too old now. Make another.</p>
        ) : (
          <div className={styles.pairing}>
            <QrCode text={code.link} label="Code that pairs one device" />
            <div>
              <p>Point its camera at the code. Or open there</p>
              <p>
                <b>{code.page.replace('https://', '')}</b>
              </p>
              <p>
                and type <span className={styles.typed}>{code.typed}</span>
              </p>
              <p className={styles.soft} role="timer">
                It pairs one device, once, for {leftS} seconds more.
              </p>
            </div>
          </div>
        )}
        {problem}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{code ? 'Done' : 'Leave it'}</Button>
        {(!code || isOver) && (
          <Button variant="contained" disabled={isBusy} onClick={() => void make()}>
            {code ? 'Make another' : 'Show the code'}
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}
