'use client';
import Button from '@mui/material/Button';
import { useSyncExternalStore } from 'react';
import { useAction } from '@/ui/hooks/use-action';
import { makeCalendarAddress } from './actions';
import styles from './studio-page.module.css';

const never = () => () => undefined;

/** The address that a calendar on this computer reads: care that is due, and what is booked. */
export function CalendarAddress({ calendarKey }: { readonly calendarKey: string | null }) {
  const { run, isBusy, problem } = useAction();
  const origin = useSyncExternalStore(
    never,
    () => location.origin,
    () => '',
  );
  return (
    <>
      <p>
        Washes, trims and bookings in the calendar of this computer. It asks this address by itself; what
        falls away is called off there too. Nothing is sent anywhere, and no other machine can read it.
      </p>
      {calendarKey === null ? (
        <Button variant="outlined" disabled={isBusy} onClick={() => void run(() => makeCalendarAddress({}))}>
          Make the address
        </Button>
      ) : (
        <p className={styles.address}>
          <a href={`/calendar/${calendarKey}`}>{`${origin}/calendar/${calendarKey}`}</a>
        </p>
      )}
      {problem}
    </>
  );
}
