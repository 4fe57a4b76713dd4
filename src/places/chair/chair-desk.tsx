'use client';
import Link from '@/ui/shell/link';
import { useState } from 'react';
import type { ChairDeskProps, ChairViewProps, OpenDialog } from './chair-set';
import { formatClock } from '@/ui/format';
import { useNow } from '@/ui/hooks/use-now';
import styles from './chair.module.css';
import { useChairSettings } from './chair-settings';
import {
  CardsDialog,
  HandsDialog,
  KeysDialog,
  LayoutDialog,
  NoteDialog,
  PrepDialog,
  ProductDialog,
  RefusedTaps,
} from './later';
import { DryingView, FinishView } from './later-views';
import { SettingView } from './setting-view';
import { StageStrip } from './stage-strip';
import { useForecaster } from './use-forecaster';
import { useFreshDay } from './use-fresh-day';
import { useKeptPage } from './use-kept-page';
import { useParting } from './use-parting';
import { useWasOpen } from './use-was-open';
import { useWakeLock } from './use-wake-lock';
import { useRunLog } from './use-run-log';

const TICK_MS = 5000;

/** The chair: the set going in, then drying, until it is taken down. Always dark, readable from two metres. */
export function ChairDesk(props: ChairDeskProps) {
  const nowMs = useNow(props.nowMs, TICK_MS);
  const log = useRunLog(props.set.id, props.set.plannedCount, props.set.events);
  const forecaster = useForecaster();
  const now = useParting(props, log.state, forecaster);
  const { clock } = props;
  const { set } = now;
  const [dialog, setDialog] = useState<OpenDialog | null>(null);
  const close = () => setDialog(null);
  const wasNoted = useWasOpen(dialog === 'note');
  const settings = useChairSettings();
  useKeptPage();
  useFreshDay(set.installedAtMs, log.state.installedAtMs, log.waiting === 0 && !log.isOffline);
  useWakeLock(log.state.phase === 'setting');
  const shared: ChairViewProps = { ...now, forecaster, clock, nowMs, log, onDialog: setDialog, dialog };

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
          {set.headName} · {set.techniqueLabel.toLowerCase()}
        </h1>
        <span role="status" className={styles.waiting}>
          {log.waiting > 0
            ? `${log.waiting} waiting to be sent${log.isOffline ? ', no connection' : log.isSignedOut ? ', signed out' : ''}`
            : log.isLooked
              ? 'kept'
              : 'looking…'}
        </span>
        <button type="button" className={styles.leave} onClick={() => setDialog('layout')}>
          Layout
        </button>
        <time>{formatClock(nowMs, clock)}</time>
      </header>
      <StageStrip {...shared} onPrep={() => setDialog('prep')} />
      {log.isSignedOut && (
        <p className={styles.notice} role="alert">
          Nobody is signed in on this device any more. What you tap is kept here; it goes once you{' '}
          <Link href={`/sign-in?to=${encodeURIComponent(`/chair/${set.id}`)}`}>sign in</Link>.
        </p>
      )}
      {set.isCancelled && (
        <p className={styles.notice} role="alert">
          This set was cancelled. What is tapped here is kept with it;{' '}
          <Link href={`/sets/${set.id}`}>its page</Link> can bring it back.
        </p>
      )}
      {log.isDeviceFull && (
        <p className={styles.notice} role="alert">
          This device is full, so taps cannot be written down here. They are sent at once; stay connected and
          keep this page open until it says kept.
        </p>
      )}
      {log.refused.length > 0 && <RefusedTaps refused={log.refused} onDecide={log.decide} />}
      {log.state.phase === 'setting' && <SettingView {...shared} />}
      {log.state.phase === 'drying' && <DryingView {...shared} />}
      {log.state.phase === 'worn' && <FinishView {...shared} />}
      {wasNoted && (
        <NoteDialog
          open={dialog === 'note'}
          onClose={close}
          onNote={(note) => log.record('note', { note })}
        />
      )}
      {dialog === 'prep' && <PrepDialog set={set} log={log} nowMs={nowMs} onClose={close} />}
      {dialog === 'hands' && <HandsDialog set={set} log={log} onClose={close} />}
      {dialog === 'product' && <ProductDialog set={set} log={log} onClose={close} />}
      {dialog === 'cards' && <CardsDialog set={set} log={log} onClose={close} />}
      {dialog === 'layout' && <LayoutDialog onClose={close} />}
      {dialog === 'keys' && <KeysDialog onClose={close} />}
    </div>
  );
}
