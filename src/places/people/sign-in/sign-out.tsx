'use client';
import Button from '@mui/material/Button';
import { forgetChairs } from '../../chair/outbox/forget-chairs';
import { goesBy } from '../../chair/chair-settings';
import { useAction } from '@/ui/hooks/use-action';
import { openAnew } from '@/ui/shell/open-anew';
import { signOut } from './actions';

/** Signs out, and leaves nothing to look at on the device. */
export function SignOut() {
  const { run, isBusy, problem } = useAction();
  return (
    <div>
      <Button
        variant="outlined"
        disabled={isBusy}
        onClick={() =>
          void run(
            () => signOut({}),
            async () => {
              goesBy('');
              await forgetChairs();
              openAnew('/sign-in');
            },
          )
        }
      >
        Sign out
      </Button>
      {problem}
    </div>
  );
}
