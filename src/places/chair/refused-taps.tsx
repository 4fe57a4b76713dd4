'use client';
import { plural } from '@/core/words/words';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { eventWords } from './event-words';
import type { RefusedEvent } from './outbox/outbox-store';
import { thisDevice } from './outbox/this-device';

/** What the server did not take, kept aside with what to do about it: one notice for each set and reason. */
export function RefusedTaps({
  refused,
  onDecide,
}: {
  refused: readonly RefusedEvent[];
  onDecide: (refused: readonly RefusedEvent[], choice: 'again' | 'drop') => void;
}) {
  const keyOf = ({ setId, message }: RefusedEvent) => `${setId} ${message}`;
  return [...new Set(refused.map(keyOf))].map((key) => {
    const group = refused.filter((tap) => keyOf(tap) === key);
    return (
      <Alert
        key={key}
        severity="warning"
        action={
          <>
            <Button size="small" color="inherit" onClick={() => onDecide(group, 'again')}>
              Send again
            </Button>
            <Button size="small" color="inherit" onClick={() => onDecide(group, 'drop')}>
              Drop {group.length === 1 ? 'it' : 'them'}
            </Button>
          </>
        }
      >
        {wordsOf(group)}: not kept, because {group[0]?.message}.{' '}
        {group.length === 1 ? 'It waits' : 'They wait'} on this device until you decide.
      </Alert>
    );
  });
}

/** Taps that are named; more than these are counted. */
const MOST_NAMED = 4;

function wordsOf(group: readonly RefusedEvent[]): string {
  const named = group.slice(0, MOST_NAMED).map(({ event }) => eventWords(event));
  const more = group.length - named.length;
  return [...named, ...(more > 0 ? [`${plural(more, 'tap')} more`] : [])].join(', ');
}

/** The taps of any set that were not taken. The chair shows those of its own set; a set that is gone has no chair. */
export function RefusedAnywhere() {
  const [refused, setRefused] = useState<readonly RefusedEvent[]>([]);
  useEffect(() => thisDevice().watch((news) => setRefused(news.refused)), []);
  return (
    <RefusedTaps refused={refused} onDecide={(group, choice) => void thisDevice().decide(group, choice)} />
  );
}
