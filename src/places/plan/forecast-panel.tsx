'use client';
import type { PlanFile } from '@/core/formats/plan-file';
import type { AnsweredView } from '@/core/plan/answer-view';
import { sectionsToFeel } from '@/core/plan/sections-to-feel';
import type { Reason } from '@/core/wear/reason';
import {
  formatAboutClock,
  formatClock,
  formatDay,
  formatDays,
  formatDiameter,
  formatHours,
  formatIndex,
  formatLength,
  formatMass,
  formatMinutes,
  formatChance,
  formatSigned,
} from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import styles from './forecast-panel.module.css';

const HOUR_MS = 3_600_000;
/** A range a quarter either way (set-geometry §12). */
const CURL_RANGE = 0.25;
const MOST_REASONS = 4;

/** What will come of the plan: the headline, the figures with their ranges, why, and what to mind. */
export function ForecastPanel({
  answer,
  meanLengthCm,
  ownCoilMm,
  timeZone,
  isWorking,
}: {
  answer: AnsweredView;
  meanLengthCm: number;
  ownCoilMm: number;
  timeZone: string;
  isWorking: boolean;
}) {
  const { units } = useUnits();
  const { view } = answer;
  const { plan } = view;
  const { handsOn, result, daysPresentable, drying } = plan;
  const hands = handsOn.installMin.p50 + handsOn.takedownMin + handsOn.separatingMin;
  const product = plan.doses.reduce((sum, dose) => sum + dose.grams, 0);
  const curl = result.curlDiameterMm;
  return (
    <div className={styles.panel} aria-busy={isWorking} aria-live="polite">
      <DryHeadline answer={answer} timeZone={timeZone} />
      <Cautions cautions={plan.cautions.filter((caution) => caution.severity !== 'note')} />
      <dl className={styles.grid}>
        <Figure
          name="Hands-on"
          value={formatMinutes(hands)}
          note={`set ${formatMinutes(handsOn.installMin.p50)} (${formatMinutes(handsOn.installMin.p10)} to ${formatMinutes(handsOn.installMin.p90)}), undo ${formatMinutes(handsOn.takedownMin)}`}
        />
        <Figure
          name="Lasts"
          value={formatDays(daysPresentable.p50)}
          note={`${Math.round(daysPresentable.p10)} to ${Math.round(daysPresentable.p90)}`}
        />
        <Figure
          name="Curl"
          value={formatDiameter(curl, units)}
          note={`${formatDiameter(curl * (1 - CURL_RANGE), units)} to ${formatDiameter(curl * (1 + CURL_RANGE), units)}, own coil ${formatDiameter(ownCoilMm, units)}`}
        />
        <Figure
          name="Shows"
          value={formatLength(result.stretch * meanLengthCm, units)}
          note={`of ${formatLength(meanLengthCm, units)}, stretch ${Math.round(result.stretch * 100 - 10)} to ${Math.min(100, Math.round(result.stretch * 100 + 10))} %`}
        />
        <Figure
          name="Definition"
          value={formatIndex(result.definition.p50)}
          unit="of 10"
          note={`${formatIndex(result.definition.p10)} to ${formatIndex(result.definition.p90)}; frizz ${formatIndex(result.frizz.p50)}, volume ${formatIndex(result.volume)}`}
        />
        <Figure
          name="Product"
          value={formatMass(product, units)}
          note={
            plan.doses
              .map((dose) => `${dose.role.replace('-', ' ')} ${formatMass(dose.grams, units)}`)
              .join(', ') || 'nothing on it'
          }
        />
      </dl>
      <Why
        title="Why this definition"
        reasons={result.definition.why}
        show={(effect) => formatSigned(effect)}
      />
      <Why
        title="Why this many days"
        reasons={daysPresentable.why}
        show={(effect) => `${formatSigned((effect - 1) * 100, 0)} %`}
      />
      {drying.remistEveryMin !== null && drying.remistEveryMin < handsOn.installMin.p50 && (
        <p className={styles.note}>
          Waiting hair dries out after about {formatMinutes(drying.remistEveryMin)}: mist it before its turn.
        </p>
      )}
      <Cautions cautions={plan.cautions.filter((caution) => caution.severity === 'note')} />
    </div>
  );
}

function DryHeadline({ answer, timeZone }: { answer: AnsweredView; timeZone: string }) {
  const { view, drawn } = answer;
  const { drying } = view.plan;
  const feel = sectionsToFeel(view.dryTimes, drawn);
  const feelWords =
    feel.length > 1 ? `${feel.slice(0, -1).join(', ')} and ${feel.at(-1)}` : String(feel[0] ?? '');
  const dryStart = view.blocks.find((block) => block.step === 'install')?.endMs;
  const takedown = view.blocks.find((block) => block.step === 'takedown');
  const chance = drying.chanceDryAtWearBy;
  const tone = chance === null || chance >= 0.8 ? 'sure' : 'unsure';
  return (
    <>
      <p className={styles.kicker}>Dry to the root</p>
      {dryStart === undefined ? (
        <p className={styles.headline}>
          <strong>{formatHours(drying.dryAfterH.p50)}</strong>
          <span>
            after setting, between {formatHours(drying.dryAfterH.p10)} and {formatHours(drying.dryAfterH.p90)}
          </span>
        </p>
      ) : (
        <p className={styles.headline}>
          <strong>{formatAboutClock(dryStart + drying.dryAfterH.p50 * HOUR_MS, timeZone)}</strong>
          <span>
            between {formatAboutClock(dryStart + drying.dryAfterH.p10 * HOUR_MS, timeZone)} and{' '}
            {formatAboutClock(dryStart + drying.dryAfterH.p90 * HOUR_MS, timeZone)},{' '}
            {formatDay(dryStart + drying.dryAfterH.p50 * HOUR_MS, timeZone)}
          </span>
        </p>
      )}
      <p className={styles.banner} data-tone={tone}>
        {chance === null || !takedown ? (
          <span>
            Leave {formatHours(view.sureAfterH)} to be 9 in 10 sure. Feel {feelWords} first.
          </span>
        ) : (
          <>
            <strong>{formatChance(chance)}</strong>
            <span>
              sure to be dry at takedown, {formatClock(takedown.startMs, timeZone)}. Feel {feelWords} first.
            </span>
          </>
        )}
      </p>
    </>
  );
}

function Cautions({ cautions }: { cautions: PlanFile['cautions'] }) {
  if (cautions.length === 0) return null;
  return (
    <ul className={styles.cautions}>
      {cautions.map((caution) => (
        <li key={caution.code} data-severity={caution.severity}>
          {caution.text}
        </li>
      ))}
    </ul>
  );
}

function Figure({ name, value, unit, note }: { name: string; value: string; unit?: string; note: string }) {
  return (
    <div className={styles.figure}>
      <dt>{name}</dt>
      <dd>
        <span className={styles.value}>
          {value}
          {unit && <small> {unit}</small>}
        </span>
        <span className={styles.range}>{note}</span>
      </dd>
    </div>
  );
}

function Why({
  title,
  reasons,
  show,
}: {
  title: string;
  reasons: readonly Reason[];
  show: (effect: number) => string;
}) {
  if (reasons.length === 0) return null;
  return (
    <section className={styles.why}>
      <h2>{title}</h2>
      <ul>
        {reasons.slice(0, MOST_REASONS).map((reason) => {
          const effect = show(reason.effect);
          return (
            <li key={reason.factor}>
              <b data-sign={effect.startsWith('−') ? 'down' : 'up'}>{effect}</b> {reason.text}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
