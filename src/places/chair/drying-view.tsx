'use client';
import { useMemo, useState } from 'react';
import type { TakedownHandsId } from '@/core/coefficients/takedown-hands';
import { isBeyondHorizon } from '@/core/drying/horizon';
import { chancesAt, DRY_ENOUGH, dryingNow } from '@/core/plan/drying-now';
import { undoneOf, type FeltCheck } from '@/core/run/run-state';
import { sectionName } from '@/core/parting/section-name';
import { sectionsToFeel } from '@/core/plan/sections-to-feel';
import { listed } from '@/core/words/words';
import { HOUR_MS } from '@/core/units/time';
import { CrownMap } from '@/ui/crown-map/crown-map';
import { dryingState } from '@/ui/crown-map/section-state';
import { formatAboutWhen, formatChance, formatEnds, formatWhen } from '@/ui/format';
import { AskHow } from '@/ui/how-we-know/ask';
import { ChairCautions } from './chair-cautions';
import { alwaysMore, prepAction } from './always-more';
import type { ChairViewProps } from './chair-set';
import styles from './chair.module.css';
import { DryLine } from './dry-line';
import { DryNow } from './dry-now';
import type { ChairAction } from './more-dialog';
import { CheckDialog, DryDialog, MoreDialog, TakedownDialog } from './later';
import { useWasOpen } from './use-was-open';
import { useDryCourse } from './use-dry-course';
import { useChairKeys } from './use-chair-keys';

/** Drying: how sure, until when, what to feel, and the way to takedown. */
export function DryingView(props: ChairViewProps) {
  const { set, view, drawn, clock, nowMs, log, forecaster, dialog, onDialog } = props;
  const { checks } = log.state;
  const [open, setOpen] = useState<'check' | 'takedown' | 'dry' | null>(null);
  const [felt, setFelt] = useState<number | null>(null);
  const installedAtMs = log.state.installedAtMs ?? nowMs;
  const afterH = Math.max(0, (nowMs - installedAtMs) / HOUR_MS);
  const course = useDryCourse(set, view, log.state, installedAtMs, nowMs, forecaster);

  const now = useMemo(
    () =>
      dryingNow(
        course.dryTimes,
        checks.map((check) => ({ ...check, afterH: Math.max(0, (check.atMs - installedAtMs) / HOUR_MS) })),
        (number) => set.sections[number]?.zone ?? 'crown',
      ),
    [course.dryTimes, checks, installedAtMs, set.sections],
  );
  const chances = chancesAt(now, afterH);
  const feel = sectionsToFeel(course.dryTimes, drawn);
  const at = (hours: number) => installedAtMs + hours * HOUR_MS;
  const about = (hours: number) =>
    isBeyondHorizon(hours) ? 'more than ten days after setting' : formatAboutWhen(at(hours), clock, nowMs);
  const isHopeless = isBeyondHorizon(now.dryAfterH.p50);
  const between = isBeyondHorizon(now.dryAfterH.p90)
    ? `${about(now.dryAfterH.p10)} and more than ten days after setting`
    : formatEnds(at(now.dryAfterH.p10), at(now.dryAfterH.p90), clock);
  const isGoneBy = at(now.dryAfterH.p90) <= nowMs;
  const feelNow = afterH >= now.worthFeelingAfterH;
  const lastTelling = checks.filter((check) => check.feel !== 'cool').at(-1);
  const isDryEnough = chances.whole >= DRY_ENOUGH && lastTelling?.feel !== 'damp';

  const wasDry = useWasOpen(open === 'dry');
  const wasTakedown = useWasOpen(open === 'takedown');
  const check = (found: Pick<FeltCheck, 'sectionNumber' | 'level' | 'feel'>) => {
    setOpen(null);
    log.record('felt', found);
  };
  const takeDown = (step: TakedownHandsId, reason: string | null) => {
    setOpen(null);
    log.record('taken-down', { note: reason, step });
  };
  const notFinished = () => {
    const last = log.state.doneOrder.at(-1);
    if (last !== undefined) log.record('section-undone', undoneOf(log.state, last));
  };
  const more: readonly ChairAction[] = [
    {
      label: 'Not finished yet',
      hint: 'a section is still open',
      isOff: log.state.doneOrder.length === 0,
      run: notFinished,
    },
    ...prepAction(set, onDialog),
    ...alwaysMore(onDialog),
  ];
  useChairKeys(
    (key) => {
      if (key === 'd') setOpen('check');
      else if (key === 'h') setOpen('dry');
      else if (key === 'b' && set.prep.length > 0) onDialog('prep');
      else if (key === 'c') onDialog('cards');
      else if (key === 'n') onDialog('note');
      else if (key === '?') onDialog('keys');
    },
    dialog !== null || open !== null,
  );

  return (
    <div className={styles.setting}>
      <section className={styles.map} aria-label="Crown map">
        <CrownMap
          name={`${set.techniqueLabel}, ${set.sectionCount} sections drying`}
          sections={drawn}
          skin={set.skinTone}
          hair={set.hairTone}
          stateOf={(number) => dryingState(chances.zones[set.sections[number]?.zone ?? 'crown'])}
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
              now={`${formatChance(chances.whole)} sure. ${isHopeless ? 'Not dry within ten days' : `Dry about ${about(now.dryAfterH.p50)}, between ${between}`}.`}
              why={set.why.dry}
            />
          </span>
        </p>
        {set.known.dry && <p className={styles.known}>{set.known.dry}</p>}
        <div className={styles.instruction}>
          <p>
            {isHopeless ? (
              <>It will not be dry within ten days in this air. Dry it another way.</>
            ) : isGoneBy ? (
              <>
                Nearly every head like this one was dry by <b>{about(now.dryAfterH.p90)}</b>: feel it.
              </>
            ) : (
              <>
                Dry about <b>{about(now.dryAfterH.p50)}</b>, between {between}.
              </>
            )}
          </p>
        </div>
        <DryLine
          now={now}
          installedAtMs={installedAtMs}
          nowMs={nowMs}
          readyMs={set.wearByMs}
          checks={checks}
          clock={clock}
        />
        <DryNow course={course} clock={clock} nowMs={nowMs} />
        <p className={styles.cue}>
          <b>
            Feel {listed(feel.map(sectionName))}{' '}
            {feelNow ? 'now.' : `about ${about(now.worthFeelingAfterH)}.`}
          </b>{' '}
          Dry hair is springy and has drawn up. Cold may only be cool: wait and feel again.
        </p>
        {lastTelling && (
          <p className={styles.last}>
            Last felt: section {sectionName(lastTelling.sectionNumber)}, {lastTelling.level},{' '}
            {lastTelling.feel} at {formatWhen(lastTelling.atMs, clock, nowMs)}.
          </p>
        )}
        <ChairCautions texts={set.cautions.drying.map(({ text }) => text)} allergies={set.allergies} />
        <div className={styles.buttons}>
          <button type="button" className={styles.big} onClick={() => setOpen('check')}>
            Dryness check <kbd>D</kbd>
          </button>
          <button type="button" onClick={() => setOpen('takedown')}>
            Take down
          </button>
          <button type="button" onClick={() => setOpen('dry')}>
            How it dries <kbd>H</kbd>
          </button>
          <button type="button" onClick={() => onDialog('more')}>
            More
          </button>
        </div>
      </section>
      {dialog === 'more' && <MoreDialog actions={more} onClose={() => onDialog(null)} />}
      {wasDry && (
        <DryDialog
          set={set}
          log={log}
          clock={clock}
          nowMs={nowMs}
          course={course}
          belief={now.belief}
          open={open === 'dry'}
          onClose={() => setOpen(null)}
        />
      )}
      {open === 'check' && (
        <CheckDialog
          suggested={feel}
          sectionNumber={felt ?? feel[0] ?? 1}
          onSection={setFelt}
          numbers={drawn.map(({ number }) => number)}
          onClose={() => setOpen(null)}
          onCheck={check}
        />
      )}
      {wasTakedown && (
        <TakedownDialog
          open={open === 'takedown'}
          gate={
            isDryEnough
              ? null
              : {
                  chance: chances.whole,
                  isFeltDamp: lastTelling?.feel === 'damp',
                  waitUntil: feelNow ? null : about(now.worthFeelingAfterH),
                }
          }
          planned={set.finish.hands}
          onClose={() => setOpen(null)}
          onTakeDown={takeDown}
        />
      )}
    </div>
  );
}
