'use client';
import Alert from '@mui/material/Alert';
import { useMemo, useState } from 'react';
import { chancesAt, DRY_ENOUGH, dryingNow } from '@/core/plan/drying-now';
import { sectionsToFeel } from '@/core/plan/sections-to-feel';
import { techniqueOf } from '@/core/techniques';
import { CrownMap } from '@/ui/crown-map/crown-map';
import { dryingState } from '@/ui/crown-map/section-state';
import { formatAboutClock, formatClock, formatDay, formatChance } from '@/ui/format';
import { AskHow } from '@/ui/how-we-know/ask';
import { recordCheck } from './actions';
import { ChairCautions } from './chair-cautions';
import type { ChairViewProps, CheckRow } from './chair-set';
import styles from './chair.module.css';
import { CheckDialog } from './check-dialog';
import { DryLine } from './dry-line';
import { TakedownDialog } from './takedown-dialog';
import { useChairKeys } from './use-chair-keys';

const HOUR_MS = 3_600_000;

export interface DryingViewProps extends ChairViewProps {
  readonly checks: readonly CheckRow[];
  readonly onCheck: (check: CheckRow) => void;
}

/** Drying: how sure, until when, what to feel, and the way to takedown. */
export function DryingView(props: DryingViewProps) {
  const { set, view, drawn, timeZone, nowMs, log, checks, onCheck, isDialogOpen, onDialog } = props;
  const [open, setOpen] = useState<'check' | 'takedown' | null>(null);
  const [felt, setFelt] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const installedAtMs = log.state.installedAtMs ?? nowMs;
  const afterH = Math.max(0, (nowMs - installedAtMs) / HOUR_MS);
  const technique = techniqueOf(set.technique);

  const now = useMemo(
    () =>
      dryingNow(
        view.dryTimes,
        checks.map((check) => ({ ...check, afterH: Math.max(0, (check.atMs - installedAtMs) / HOUR_MS) })),
        (number) => set.zoneOf[number] ?? 'crown',
      ),
    [view.dryTimes, checks, installedAtMs, set.zoneOf],
  );
  const chances = chancesAt(now, afterH);
  const feel = sectionsToFeel(view.dryTimes, drawn);
  const clock = (hours: number) => formatAboutClock(installedAtMs + hours * HOUR_MS, timeZone);
  const lastTelling = checks.filter((check) => check.feel !== 'cool').at(-1);
  const isDryEnough = chances.whole >= DRY_ENOUGH && lastTelling?.feel !== 'damp';

  const check = async (found: Pick<CheckRow, 'sectionNumber' | 'level' | 'feel'>) => {
    setOpen(null);
    const row: CheckRow = { ...found, id: crypto.randomUUID(), atMs: Date.now() };
    try {
      const answer = await recordCheck({ setId: set.id, check: row });
      if (answer.ok) {
        setProblem(null);
        onCheck(row);
      } else setProblem(answer.errors[0]?.message ?? null);
    } catch {
      setProblem('No connection: this check was not kept. Try again.');
    }
  };
  const takeDown = (reason: string | null) => {
    setOpen(null);
    log.record('taken-down', null, reason);
  };
  useChairKeys(
    (key) => {
      if (key === 'd') setOpen('check');
      else if (key === 'n') onDialog('note');
      else if (key === '?') onDialog('keys');
    },
    isDialogOpen || open !== null,
  );

  return (
    <div className={styles.setting}>
      <section className={styles.map} aria-label="Crown map">
        <CrownMap
          name={`${technique.label}, ${set.sectionCount} sections drying`}
          sections={drawn}
          skin={set.skinTone}
          hair={set.hairTone}
          stateOf={(number) => dryingState(chances.zones[set.zoneOf[number] ?? 'crown'])}
          onPick={(number) => {
            setFelt(number);
            setOpen('check');
          }}
        />
      </section>
      <section className={styles.panel} aria-label="Drying">
        <p className={styles.count} aria-live="polite">
          <strong>{formatChance(chances.whole)}</strong>
          <span>
            sure every root is{' '}
            <AskHow
              topic="dry"
              name="dry now"
              now={`${formatChance(chances.whole)} sure. Dry about ${clock(now.dryAfterH.p50)}, between ${clock(now.dryAfterH.p10)} and ${clock(now.dryAfterH.p90)}.`}
              why={set.why.dry}
            />
          </span>
        </p>
        <div className={styles.instruction}>
          <p>
            Dry about <b>{clock(now.dryAfterH.p50)}</b>, between {clock(now.dryAfterH.p10)} and{' '}
            {clock(now.dryAfterH.p90)}
            {now.dryAfterH.p90 > 12 &&
              `, ${formatDay(installedAtMs + now.dryAfterH.p50 * HOUR_MS, timeZone)}`}
            .
          </p>
        </div>
        <DryLine
          now={now}
          installedAtMs={installedAtMs}
          nowMs={nowMs}
          readyMs={set.wearByMs}
          checks={checks}
          timeZone={timeZone}
        />
        {problem && <Alert severity="warning">{problem}</Alert>}
        <p className={styles.cue}>
          <b>
            Feel {feel.slice(0, -1).join(', ')} and {feel.at(-1)}{' '}
            {afterH < now.worthFeelingAfterH ? `about ${clock(now.worthFeelingAfterH)}.` : 'now.'}
          </b>{' '}
          Dry hair is springy and has drawn up. Cold may only be cool: wait and feel again.
        </p>
        {lastTelling && (
          <p className={styles.last}>
            Last felt: section {lastTelling.sectionNumber}, {lastTelling.level}, {lastTelling.feel} at{' '}
            {formatClock(lastTelling.atMs, timeZone)}.
          </p>
        )}
        <ChairCautions texts={set.cautions.drying} />
        <div className={styles.buttons}>
          <button type="button" className={styles.big} onClick={() => setOpen('check')}>
            Dryness check <kbd>D</kbd>
          </button>
          <button type="button" onClick={() => (isDryEnough ? takeDown(null) : setOpen('takedown'))}>
            Take down
          </button>
          <button type="button" onClick={() => onDialog('note')}>
            Note <kbd>N</kbd>
          </button>
          <button
            type="button"
            onClick={() => log.record('section-undone', log.state.doneOrder.at(-1) ?? null)}
          >
            Not finished yet
          </button>
        </div>
      </section>
      <CheckDialog
        open={open === 'check'}
        suggested={feel}
        sectionNumber={felt ?? feel[0] ?? 1}
        onSection={setFelt}
        sectionCount={set.sectionCount}
        onClose={() => setOpen(null)}
        onCheck={check}
      />
      <TakedownDialog
        open={open === 'takedown'}
        chance={chances.whole}
        isFeltDamp={lastTelling?.feel === 'damp'}
        waitUntil={clock(now.worthFeelingAfterH)}
        onClose={() => setOpen(null)}
        onTakeDown={takeDown}
      />
    </div>
  );
}
