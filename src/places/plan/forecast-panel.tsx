'use client';
import type { Clock, Units } from '@/core/formats/display';
import Button from '@mui/material/Button';
import { useState, type ReactNode } from 'react';
import type { Corrections } from '@/core/brief/learnt';
import { handUnits as handUnitTable, type WeighedUnits } from '@/core/products/hand-units';
import { inHands } from '@/core/products/dose';
import { productRoles, type RoleId } from '@/core/products';
import { techniqueOf, type TechniqueId } from '@/core/techniques';
import type { TopicId } from '@/core/explain/topics';
import { whyOf } from '@/core/explain/why-of';
import { SETTLED_DRAWS } from '@/core/plan/draw-counts';
import type { PlanFile } from '@/core/formats/plan-file';
import type { AnsweredView } from '@/core/plan/answer-view';
import { SIDES } from '@/core/hair/half';
import { QUADRANT_LABEL } from '@/core/parting/quadrant';
import { rangesOf } from '@/core/plan/result-ranges';
import { isBeyondHorizon } from '@/core/drying/horizon';
import { sectionsToFeel } from '@/core/plan/sections-to-feel';
import { listed } from '@/core/words/words';
import {
  formatChance,
  formatDays,
  formatDiameter,
  formatHands,
  formatHours,
  formatIndex,
  formatLength,
  formatMass,
  formatMinutes,
  formatMoment,
} from '@/ui/format';
import { Ask, HowWeKnow } from '@/ui/how-we-know/ask';
import { WhyList } from '@/ui/how-we-know/why-list';
import { useUnits } from '@/ui/units-context';
import { AsIfUnknown, PutRightBy } from './known-of-her';
import { sureUnderWords, dryWords } from './dry-words';
import { handsOnOf, partWords } from './hands-on';
import styles from './forecast-panel.module.css';
import type { Refining } from './use-forecast';

const MOST_REASONS = 4;

export interface ForecastPanelProps {
  readonly answer: AnsweredView;
  readonly meanLengthCm: number;
  readonly ownCoilMm: number;
  readonly clock: Clock;
  readonly handUnits: WeighedUnits;
  readonly isWorking: boolean;
  readonly refining: Refining | null;
  readonly onStop: () => void;
  /** What is learnt of the head; null where nothing is. */
  readonly known: { readonly isUnknown: boolean; readonly onUnknown: (isUnknown: boolean) => void } | null;
  /** What the studio's log puts right; null where nothing is. */
  readonly corrections: Corrections | null;
  /** What the plan takes from the shelf; said early where something runs short. */
  readonly shelf: { readonly isShort: boolean; readonly words: ReactNode };
}

/** One figure of the panel: what it says, and its range. */
interface FigureWords {
  readonly name: string;
  readonly value: string;
  readonly unit?: string;
  readonly note: string;
}

/** Every figure of a plan in words, by its topic. */
function figuresOf(
  { answer, meanLengthCm, ownCoilMm, handUnits }: ForecastPanelProps,
  units: Units,
): Partial<Record<TopicId, FigureWords>> {
  const { plan } = answer.view;
  const { handsOn, result, daysPresentable } = plan;
  const hands = handsOnOf(plan);
  const product = plan.doses.reduce((sum, dose) => sum + dose.grams, 0);
  const ranges = rangesOf(result);
  const { curlName } = techniqueOf(plan.sections[0]!.technique as TechniqueId);
  const upTo = (low: number, high: number) => `${formatIndex(low)} to ${formatIndex(high)}`;
  const perZone = Object.values(result.visibleLengthCm);
  const [shortest, longest] = [Math.min(...perZone), Math.max(...perZone)];
  return {
    handsOn: {
      name: 'Hands-on',
      value: formatMinutes(hands.minutes),
      note: `${partWords(hands)}; setting ${formatMinutes(handsOn.installMin.p10)} to ${formatMinutes(handsOn.installMin.p90)}`,
    },
    days: {
      name: 'Lasts',
      value: formatDays(daysPresentable.p50),
      note: `${Math.round(daysPresentable.p10)} to ${Math.round(daysPresentable.p90)}`,
    },
    curl: {
      name: curlName === 'curl' ? 'Curl' : curlName === 'wave' ? 'Wave' : 'Crimp',
      value: formatDiameter(result.curlDiameterMm, units),
      note: `${formatDiameter(ranges.curlDiameterMm.p10, units)} to ${formatDiameter(ranges.curlDiameterMm.p90, units)}, own coil ${formatDiameter(ownCoilMm, units)}`,
    },
    shows: {
      name: 'Shows',
      value: formatLength(result.stretch * meanLengthCm, units),
      note: `of ${formatLength(meanLengthCm, units)}, stretch ${Math.round(100 * ranges.stretch.p10)} to ${Math.round(100 * ranges.stretch.p90)} %${longest - shortest > 1 ? `; ${formatLength(shortest, units)} to ${formatLength(longest, units)} by zone` : ''}`,
    },
    definition: {
      name: 'Definition',
      value: formatIndex(result.definition.p50),
      unit: 'of 10',
      note: upTo(result.definition.p10, result.definition.p90),
    },
    frizz: {
      name: 'Frizz',
      value: formatIndex(result.frizz.p50),
      unit: 'of 10',
      note: upTo(result.frizz.p10, result.frizz.p90),
    },
    volume: {
      name: 'Volume',
      value: formatIndex(result.volume),
      unit: 'of 10',
      note: `${upTo(ranges.volume.p10, ranges.volume.p90)}; how full it is`,
    },
    product: {
      name: 'Product',
      value: formatMass(product, units),
      note:
        plan.doses
          .map((dose) => {
            const role = dose.role as RoleId;
            const { unit, amount } = inHands(role, dose.grams, handUnits);
            return `${productRoles[role].label.toLowerCase()} ${formatMass(dose.grams, units)}, ${formatHands(amount, handUnitTable[unit].noun)}`;
          })
          .join('; ') || 'nothing on it',
    },
  };
}

const SHOWN: readonly TopicId[] = [
  'handsOn',
  'days',
  'curl',
  'shows',
  'definition',
  'frizz',
  'volume',
  'product',
];

/** What will come of the plan: the headline, the figures with their ranges, why, and what to mind. */
export function ForecastPanel(props: ForecastPanelProps) {
  const { units } = useUnits();
  const [asked, setAsked] = useState<TopicId | null>(null);
  const { answer, clock, isWorking } = props;
  const { plan } = answer.view;
  const figures = figuresOf(props, units);
  const askedFigure = asked ? figures[asked] : undefined;
  const dryWords = dryFigure(answer, clock);
  // What the drawer lacks is said once, by the shelf, which knows what could be taken instead.
  const planCautions = plan.cautions.filter(
    ({ shows, code }) => shows.includes('plan') && code !== 'tools-short',
  );
  return (
    <div className={styles.panel} aria-busy={isWorking}>
      <DryHeadline
        answer={answer}
        clock={clock}
        words={dryWords}
        refining={props.refining}
        onStop={props.onStop}
        onAsk={setAsked}
      />
      {props.known && (
        <AsIfUnknown plan={plan} isUnknown={props.known.isUnknown} onChange={props.known.onUnknown} />
      )}
      {props.corrections && <PutRightBy corrections={props.corrections} />}
      <Cautions cautions={planCautions.filter((caution) => caution.severity !== 'note')} />
      {props.shelf.isShort && props.shelf.words}
      <dl className={styles.grid}>
        {SHOWN.map((topic) => {
          const figure = figures[topic];
          return figure ? <Figure key={topic} topic={topic} words={figure} onAsk={setAsked} /> : null;
        })}
      </dl>
      {plan.halves && <HalvesSaid halves={plan.halves} />}
      {!props.shelf.isShort && props.shelf.words}
      <WhyList title="Why this definition" why={whyOf(plan, 'definition')} most={MOST_REASONS} />
      <WhyList title="Why this many days" why={whyOf(plan, 'days')} most={MOST_REASONS} />
      <Waiting plan={plan} onAsk={setAsked} />
      <Cautions cautions={planCautions.filter((caution) => caution.severity === 'note')} />
      {asked !== null && (
        <HowWeKnow
          topic={asked}
          now={
            asked === 'dry' || !askedFigure
              ? `${dryWords.value} ${dryWords.note}`
              : `${askedFigure.name}: ${askedFigure.value}${askedFigure.unit ? ` ${askedFigure.unit}` : ''}; ${askedFigure.note}`
          }
          why={whyOf(plan, asked)}
          onClose={() => setAsked(null)}
        />
      )}
    </div>
  );
}

/** What is expected of either half of a trial whose layers differ. */
function HalvesSaid({ halves }: { readonly halves: NonNullable<PlanFile['halves']> }) {
  return (
    <table className={styles.halves}>
      <caption>Half by half</caption>
      <thead>
        <tr>
          <th scope="col">Half</th>
          <th scope="col">Definition</th>
          <th scope="col">Frizz</th>
          <th scope="col">Lasts</th>
        </tr>
      </thead>
      <tbody>
        {SIDES.map((side) => {
          const { result, daysPresentable } = halves[side];
          const look = ({ p10, p50, p90 }: typeof result.definition) =>
            `${formatIndex(p50)}, ${formatIndex(p10)} to ${formatIndex(p90)}`;
          return (
            <tr key={side}>
              <th scope="row">{side}</th>
              <td>{look(result.definition)}</td>
              <td>{look(result.frizz)}</td>
              <td>{formatDays(daysPresentable.p50)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** The headline of the panel. */
function dryFigure({ view }: AnsweredView, clock: Clock): FigureWords {
  const { value, day, range } = dryWords(view, clock);
  return { name: 'Dry to the root', value, note: day === null ? range : `${day}; ${range}` };
}

function DryHeadline({
  answer,
  clock,
  words,
  refining,
  onStop,
  onAsk,
}: {
  answer: AnsweredView;
  clock: Clock;
  words: { value: string; note: string };
  refining: Refining | null;
  onStop: () => void;
  onAsk: (topic: TopicId) => void;
}) {
  const { view, drawn } = answer;
  const { drying } = view.plan;
  const feel = sectionsToFeel(view.dryTimes, drawn);
  const feelWords = listed(feel);
  const takedown = view.blocks.find((block) => block.step === 'takedown');
  const chance = drying.chanceDryAtWearBy;
  const tone = chance === null || chance >= 0.8 ? 'sure' : 'unsure';
  return (
    <>
      <p className={styles.kicker}>
        <Ask topic="dry" name="Dry to the root" onAsk={onAsk} />
      </p>
      <p className={styles.headline} aria-live="polite">
        <strong>{words.value}</strong>
        <span>{words.note}</span>
      </p>
      <div className={styles.refining} data-on={refining !== null}>
        {refining ? (
          <>
            <progress max={refining.wanted} value={refining.drawn} aria-label="Making the range finer" />
            <span>making the range finer</span>
            <Button size="small" onClick={onStop}>
              Stop
            </Button>
          </>
        ) : (
          <span>{drying.draws >= SETTLED_DRAWS ? 'range worked out' : 'a first range'}</span>
        )}
      </div>
      <p className={styles.banner} data-tone={tone}>
        {chance === null || !takedown ? (
          <span>
            {isBeyondHorizon(view.sureAfterH)
              ? 'It may take over ten days: no time can be left that makes it sure.'
              : `Leave ${formatHours(view.sureAfterH)} to be 9 in 10 sure.`}{' '}
            Feel {feelWords} first.
          </span>
        ) : (
          <>
            <strong>{formatChance(chance)}</strong>
            <span>
              sure to be dry at takedown, {formatMoment(takedown.startMs, clock)}.{' '}
              {sureUnderWords(drying.sureUnder)} Feel {feelWords} first.
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
          {caution.turnTo && <span className={styles.turnTo}> Ask {caution.turnTo}.</span>}
        </li>
      ))}
    </ul>
  );
}

function Figure({
  topic,
  words,
  onAsk,
}: {
  topic: TopicId;
  words: FigureWords;
  onAsk: (topic: TopicId) => void;
}) {
  return (
    <div className={styles.figure}>
      <dt>
        <Ask topic={topic} name={words.name} onAsk={onAsk} />
      </dt>
      <dd>
        <span className={styles.value}>
          {words.value}
          {words.unit && <small> {words.unit}</small>}
        </span>
        <span className={styles.range}>{words.note}</span>
      </dd>
    </div>
  );
}

/** Which clipped-away quarter dries out before its turn, and when to mist it. */
function Waiting({ plan, onAsk }: { plan: PlanFile; onAsk: (topic: TopicId) => void }) {
  const needMisting = plan.drying.waiting.filter(
    (quarter) => quarter.mistAtMin.length > 0 || quarter.endsDryMin !== null,
  );
  if (needMisting.length === 0) return null;
  return (
    <section className={styles.waiting}>
      <h2>
        <Ask topic="mist" name="While it waits" onAsk={onAsk} />
      </h2>
      <ul>
        {needMisting.map(({ quadrant, endsDryMin, mistAtMin }) => (
          <li key={quadrant}>
            {mistAtMin[0] !== undefined
              ? `Mist the ${QUADRANT_LABEL[quadrant]} after ${formatMinutes(mistAtMin[0])}${mistAtMin.length > 1 ? `, and again every ${formatMinutes(mistAtMin[0])}` : ''}.`
              : `The ends of the ${QUADRANT_LABEL[quadrant]} are dry after ${formatMinutes(endsDryMin ?? 0)}: wet them again.`}
          </li>
        ))}
      </ul>
    </section>
  );
}
