'use client';
import Alert from '@mui/material/Alert';
import Link from 'next/link';
import { lazy, Suspense, useEffect, useState } from 'react';
import type { ChairDeskProps, ChairViewProps, OpenDialog } from './chair-set';
import { techniqueOf } from '@/core/techniques';
import { formatClock } from '@/ui/format';
import { useNow } from '@/ui/hooks/use-now';
import styles from './chair.module.css';
import { useChairSettings } from './chair-settings';
import { HandsDialog } from './hands-dialog';
import { LayoutDialog } from './layout-dialog';
import { DryingView } from './drying-view';
import { FinishView } from './finish-view';
import { NoteDialog, KeysDialog } from './chair-dialogs';
import { ProductDialog } from './product-dialog';
import { PrepDialog } from './prep-dialog';
import { RefusedTaps } from './refused-taps';
import { SettingView } from './setting-view';
import { StageStrip } from './stage-strip';
import { useFreshDay } from './use-fresh-day';
import { useKeptPage } from './use-kept-page';
import { useParting } from './use-parting';
import { useWakeLock } from './use-wake-lock';
import { useRunLog } from './use-run-log';

const TICK_MS = 5000;

/** Drawings weigh as much as the rest of the chair: they are fetched when it stands, and kept for when the server is away. */
const loadCards = () => import('./cards-dialog');
const CardsDialog = lazy(() => loadCards().then((module) => ({ default: module.CardsDialog })));
const CARDS_AFTER_MS = 3000;

/** The chair: the set going in, then drying, until it is taken down. Always dark, readable from two metres. */
export function ChairDesk(props: ChairDeskProps) {
  const nowMs = useNow(props.nowMs, TICK_MS);
  const log = useRunLog(props.set.id, props.set.plannedCount, props.set.events);
  const now = useParting(props, log.state);
  const { clock } = props;
  const { set } = now;
  const [dialog, setDialog] = useState<OpenDialog | null>(null);
  const settings = useChairSettings();
  useEffect(() => {
    const timer = setTimeout(() => void loadCards().catch(() => undefined), CARDS_AFTER_MS);
    return () => clearTimeout(timer);
  }, []);
  useKeptPage();
  useFreshDay(set.installedAtMs, log.state.installedAtMs, log.waiting === 0 && !log.isOffline);
  useWakeLock(log.state.phase === 'setting');
  const technique = techniqueOf(set.technique);
  const shared: ChairViewProps = { ...now, clock, nowMs, log, onDialog: setDialog, dialog };

  return (
    <div
      className={styles.chair}
      data-scheme="dark"
      data-left={settings.isLeftHanded}
      data-big={settings.isBig}
    >
      <header className={styles.top}>
        <Link href="/" className={styles.leave}>
          ‹ Today
        </Link>
        <h1>
          {set.headName} · {technique.label.toLowerCase()}
        </h1>
        <span role="status" className={styles.waiting}>
          {log.waiting > 0
            ? `${log.waiting} waiting to be sent${log.isOffline ? ', no connection' : ''}`
            : 'kept'}
        </span>
        <button type="button" className={styles.leave} onClick={() => setDialog('layout')}>
          Layout
        </button>
        <time>{formatClock(nowMs, clock)}</time>
      </header>
      <StageStrip {...shared} onPrep={() => setDialog('prep')} />
      {set.isCancelled && (
        <Alert severity="warning">
          This set was cancelled. What is tapped here is kept with it;{' '}
          <Link href={`/sets/${set.id}`}>its page</Link> can bring it back.
        </Alert>
      )}
      {log.isDeviceFull && (
        <Alert severity="error">
          This device is full, so taps cannot be written down here. They are sent at once; stay connected and
          keep this page open until it says kept.
        </Alert>
      )}
      <RefusedTaps refused={log.refused} onDecide={log.decide} />
      {log.state.phase === 'setting' && <SettingView {...shared} />}
      {log.state.phase === 'drying' && <DryingView {...shared} />}
      {log.state.phase === 'worn' && <FinishView {...shared} />}
      <NoteDialog
        open={dialog === 'note'}
        onClose={() => setDialog(null)}
        onNote={(note) => log.record('note', { note })}
      />
      <PrepDialog
        set={set}
        log={log}
        nowMs={nowMs}
        open={dialog === 'prep'}
        onClose={() => setDialog(null)}
      />
      <HandsDialog log={log} open={dialog === 'hands'} onClose={() => setDialog(null)} />
      {dialog === 'product' && <ProductDialog set={set} log={log} onClose={() => setDialog(null)} />}
      {dialog === 'cards' && (
        <Suspense fallback={null}>
          <CardsDialog set={set} log={log} onClose={() => setDialog(null)} />
        </Suspense>
      )}
      <LayoutDialog open={dialog === 'layout'} onClose={() => setDialog(null)} />
      <KeysDialog open={dialog === 'keys'} onClose={() => setDialog(null)} />
    </div>
  );
}
