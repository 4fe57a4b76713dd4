'use client';
import Alert from '@mui/material/Alert';
import Link from 'next/link';
import { useState } from 'react';
import type { CheckRow, ChairSet } from './chair-set';
import type { ForecastView } from '@/core/plan/forecast-view';
import type { DrawnSection } from '@/core/parting/drawn-layout';
import { techniqueOf } from '@/core/techniques';
import { formatClock } from '@/ui/format';
import { useNow } from '@/ui/hooks/use-now';
import styles from './chair.module.css';
import { DryingView } from './drying-view';
import { NoteDialog, KeysDialog } from './chair-dialogs';
import { SettingView } from './setting-view';
import { useRunLog } from './use-run-log';

export interface ChairDeskProps {
  readonly set: ChairSet;
  readonly view: ForecastView;
  readonly drawn: readonly DrawnSection[];
  readonly timeZone: string;
  readonly nowMs: number;
}

const TICK_MS = 5000;

/** The chair: the set going in, then drying, until it is taken down. Always dark, readable from two metres. */
export function ChairDesk(props: ChairDeskProps) {
  const { set, view, timeZone } = props;
  const nowMs = useNow(props.nowMs, TICK_MS);
  const log = useRunLog(set.id, set.sectionCount, set.events);
  const [checks, setChecks] = useState<readonly CheckRow[]>(set.checks);
  const [dialog, setDialog] = useState<'note' | 'keys' | null>(null);
  const technique = techniqueOf(set.technique);
  const shared = { ...props, nowMs, log, onDialog: setDialog, isDialogOpen: dialog !== null };

  return (
    <div className={styles.chair} data-scheme="dark">
      <header className={styles.top}>
        <Link href="/" className={styles.leave}>
          ‹ Today
        </Link>
        <h1>
          {set.headName} · {technique.label.toLowerCase()}
        </h1>
        <span role="status" className={styles.waiting}>
          {log.waiting > 0 ? `${log.waiting} waiting to be sent` : 'kept'}
        </span>
        <time>{formatClock(nowMs, timeZone)}</time>
      </header>
      {log.refusal && <Alert severity="warning">{log.refusal}</Alert>}
      {log.state.phase === 'setting' && <SettingView {...shared} />}
      {log.state.phase === 'drying' && (
        <DryingView {...shared} checks={checks} onCheck={(check) => setChecks([...checks, check])} />
      )}
      {log.state.phase === 'worn' && (
        <section className={styles.over}>
          <h2>Taken down at {formatClock(log.state.takenDownAtMs ?? nowMs, timeZone)}</h2>
          <p>
            Separate where it wants to part, then fluff the roots, never through to the ends.{' '}
            {view.plan.daysPresentable.p50 >= 5 ? 'Cover it every night.' : 'Gather it loosely tonight.'}
          </p>
          <Link className={styles.big} href={`/wear/${set.id}`}>
            Record the first day
          </Link>
        </section>
      )}
      <NoteDialog
        open={dialog === 'note'}
        onClose={() => setDialog(null)}
        onNote={(note) => log.record('note', null, note)}
      />
      <KeysDialog open={dialog === 'keys'} onClose={() => setDialog(null)} />
    </div>
  );
}
