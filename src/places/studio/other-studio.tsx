'use client';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useAction } from '@/ui/hooks/use-action';
import { bringBackStudio, startOwnStudio } from './actions';
import styles from './studio-page.module.css';

/** From the demo to a studio of one's own, and back: one is always put aside whole. */
export function OtherStudio({
  isDemo,
  aside,
  timeZone,
}: {
  isDemo: boolean;
  aside: { readonly name: string; readonly isDemo: boolean } | null;
  timeZone: string;
}) {
  const router = useRouter();
  const [name, setName] = useState('');
  const { run, isBusy, problem } = useAction();
  const go = () => {
    router.push('/');
    router.refresh();
  };
  if (aside)
    return (
      <div className={styles.stack}>
        <p>
          {aside.isDemo
            ? 'The demo studio is put aside. You can look at it again; yours waits meanwhile, untouched.'
            : `“${aside.name}” is put aside, whole, while you look at the demo.`}
        </p>
        <Button variant="outlined" disabled={isBusy} onClick={() => run(() => bringBackStudio({}), go)}>
          {aside.isDemo ? 'Look at the demo studio' : `Back to ${aside.name}`}
        </Button>
        {problem}
      </div>
    );
  if (!isDemo) return <p>This is your own studio. No other is put aside.</p>;
  return (
    <form
      className={styles.stack}
      onSubmit={(event) => {
        event.preventDefault();
        const zone = Intl.DateTimeFormat().resolvedOptions().timeZone || timeZone;
        void run(() => startOwnStudio({ name, timeZone: zone }), go);
      }}
    >
      <p>The demo is put aside whole and can be brought back here at any time. Yours starts empty.</p>
      <TextField
        label="Name of your studio"
        fullWidth
        value={name}
        onChange={(event) => setName(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 60 } }}
      />
      <Button type="submit" variant="contained" disabled={isBusy}>
        Start with my own studio
      </Button>
      {problem}
    </form>
  );
}
