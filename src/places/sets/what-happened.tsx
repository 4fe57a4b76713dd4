'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Clock } from '@/core/formats/display';
import type { RunEvent } from '@/core/run/run-event';
import { UndoNote, type Done } from '@/ui/feedback/undo-note';
import { formatMoment, pickedWords } from '@/ui/format';
import { localTimeOf } from '@/core/schedule/local-time';
import { useAction } from '@/ui/hooks/use-action';
import { eventWords } from '../chair/event-words';
import { moveEvent, moveStart, takeBackEvent } from './actions';
import styles from './what-happened.module.css';

/** One line of the log: one thing that happened, or the tally as a whole. */
type Line =
  | { readonly kind: 'start'; readonly atMs: number }
  | { readonly kind: 'event'; readonly event: RunEvent }
  | { readonly kind: 'tally'; readonly events: readonly RunEvent[] };

const isTally = ({ kind }: RunEvent) => kind === 'section-done' || kind === 'section-undone';

/** The log with taps that follow each other as one line. Corrections are not lines: they show in what they correct. */
function linesOf(startedAtMs: number, standing: readonly RunEvent[]): Line[] {
  const lines: Line[] = [{ kind: 'start', atMs: startedAtMs }];
  for (const event of standing) {
    if (event.kind === 'moved' || event.kind === 'taken-back') continue;
    const last = lines.at(-1)!;
    if (isTally(event) && last.kind === 'tally')
      lines[lines.length - 1] = { kind: 'tally', events: [...last.events, event] };
    else lines.push(isTally(event) ? { kind: 'tally', events: [event] } : { kind: 'event', event });
  }
  return lines;
}

/** Everything that happened to a set, each with its time, to be put right where it was entered wrongly. */
export function WhatHappened({
  setId,
  startedAtMs,
  standing,
  clock,
}: {
  setId: string;
  startedAtMs: number;
  standing: readonly RunEvent[];
  clock: Clock;
}) {
  const router = useRouter();
  const { run, isBusy, problem } = useAction();
  const [editing, setEditing] = useState<string | null>(null);
  const [done, setDone] = useState<Done | null>(null);
  const finished = (words: string, undo: () => void) => {
    setEditing(null);
    setDone({ words, undo });
    router.refresh();
  };
  const takeBack = (eventId: string, words: string) =>
    run(
      () => takeBackEvent({ setId, eventId }),
      (correction) => finished(`Taken back: ${words}.`, () => takeBack(correction.eventId, 'the correction')),
    );
  const move = (event: RunEvent, at: string) =>
    run(
      () => moveEvent({ setId, eventId: event.id, at }),
      (correction) =>
        finished(`${eventWords(event)}: its time is corrected.`, () =>
          takeBack(correction.eventId, 'the corrected time'),
        ),
    );
  const begin = (at: string) =>
    run(
      () => moveStart({ setId, at }),
      () => finished('The beginning is corrected.', () => begin(localTimeOf(startedAtMs, clock.timeZone))),
    );
  const row = (
    key: string,
    words: string,
    atMs: number,
    onMove: (at: string) => void,
    onBack?: () => void,
  ) => (
    <li key={key}>
      <span>{words}</span>
      <time>{formatMoment(atMs, clock)}</time>
      {editing === key ? (
        <TimeEditor
          label={words}
          value={localTimeOf(atMs, clock.timeZone)}
          clock={clock}
          isBusy={isBusy}
          onKeep={onMove}
          onLeave={() => setEditing(null)}
        />
      ) : (
        <span className={styles.actions}>
          <Button size="small" aria-label={`Another time for: ${words}`} onClick={() => setEditing(key)}>
            Another time
          </Button>
          {onBack && (
            <Button size="small" disabled={isBusy} aria-label={`Take back: ${words}`} onClick={onBack}>
              Take back
            </Button>
          )}
        </span>
      )}
    </li>
  );
  const eventRow = (event: RunEvent) =>
    row(
      event.id,
      eventWords(event),
      event.atMs,
      (at) => void move(event, at),
      () => void takeBack(event.id, eventWords(event).toLowerCase()),
    );
  return (
    <>
      <UndoNote done={done} />
      {problem}
      <ul className={styles.log}>
        {linesOf(startedAtMs, standing).map((line) => {
          if (line.kind === 'start') return row('start', 'Begun', line.atMs, (at) => void begin(at));
          if (line.kind === 'event') return eventRow(line.event);
          const taps = line.events;
          if (taps.length === 1) return eventRow(taps[0]!);
          return (
            <li key={taps[0]!.id} className={styles.tally}>
              <details>
                <summary>
                  {taps.filter(({ kind }) => kind === 'section-done').length} sections done,{' '}
                  {formatMoment(taps[0]!.atMs, clock)} to {formatMoment(taps.at(-1)!.atMs, clock)}
                </summary>
                <ul className={styles.log}>{taps.map(eventRow)}</ul>
              </details>
            </li>
          );
        })}
      </ul>
    </>
  );
}

function TimeEditor({
  label,
  value,
  clock,
  isBusy,
  onKeep,
  onLeave,
}: {
  label: string;
  value: string;
  clock: Clock;
  isBusy: boolean;
  onKeep: (at: string) => void;
  onLeave: () => void;
}) {
  const [at, setAt] = useState(value);
  return (
    <span className={styles.editor}>
      <input
        type="datetime-local"
        aria-label={`Right time for: ${label}`}
        value={at}
        onChange={(event) => setAt(event.target.value)}
        autoFocus
      />
      <span className={styles.picked}>{at !== value && pickedWords(at, clock)}</span>
      <Button size="small" variant="contained" disabled={isBusy} onClick={() => onKeep(at)}>
        Keep
      </Button>
      <Button size="small" onClick={onLeave}>
        Leave
      </Button>
    </span>
  );
}
