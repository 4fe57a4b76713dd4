'use client';
import type { Difference } from '@/core/evidence/difference';
import { agreementSure, BAND_WORDS, betterWay, effectWords, notYetWords } from '@/core/evidence/findings';
import { isEnoughForCurve, type Lasting, type LastingGroup } from '@/core/evidence/lasting';
import type { BandRightness, DryRightness } from '@/core/evidence/rightness';
import { trialWords } from '@/core/evidence/trial';
import type { Trial } from '@/core/evidence/trials';
import type { TwoPeople } from '@/core/evidence/two-people';
import type { Clock } from '@/core/formats/display';
import { capitalised, plural } from '@/core/words/words';
import { ratingScales } from '@/core/wear/rating-scales';
import { formatChance, formatDay, formatIndex } from '@/ui/format';
import styles from './findings-page.module.css';

const tenths = (share: number) => `${Math.round(share * 10)} in 10`;
const p = (value: number) => (value < 0.001 ? 'under .001' : value.toFixed(3).replace(/^0/, ''));

/** "4 days (3 to 5)"; values while there are too few for a curve. */
function groupWords(group: LastingGroup): string {
  const { median, medianBetween, values, ended, longest } = group;
  if (ended === 0) return `longer than ${plural(longest, 'day')} so far`;
  if (median === null && isEnoughForCurve(group)) return `more than half are still good when last seen`;
  if (median === null)
    return `${values.map(({ days, ended: by }) => `${days}${by ? '' : '+'}`).join(', ')} days; too few for a middle`;
  const [low, high] = medianBetween;
  return `${plural(median, 'day')} (${low ?? '?'} to ${high ?? 'not reached'})`;
}

/** The curves of a grouping as a table with numbers at risk, and how they were compared. */
export function LastingDetail({ lasting }: { readonly lasting: Lasting }) {
  const { groups, comparison } = lasting;
  return (
    <>
      <table className={styles.table}>
        <caption>
          How long {lasting.subject} stay good, by {lasting.label}
        </caption>
        <thead>
          <tr>
            <th scope="col">{capitalised(lasting.subject)}</th>
            <th scope="col">Half last</th>
            <th scope="col">Sets</th>
            <th scope="col">Heads</th>
            <th scope="col">Ended by themselves</th>
          </tr>
        </thead>
        <tbody>
          {groups.map((group) => (
            <tr key={group.key}>
              <th scope="row">{group.name}</th>
              <td>{groupWords(group)}</td>
              <td>{group.sets}</td>
              <td>{group.heads}</td>
              <td>
                {group.ended}
                {group.wet > 0 && `; ${group.wet} got wet`}
                {group.unknown > 0 && `; ${group.unknown} nobody said why`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {groups.slice(0, 2).map(
        (group) =>
          group.steps.length > 0 && (
            <table className={styles.table} key={group.key}>
              <caption>{capitalised(group.name)}, day by day</caption>
              <thead>
                <tr>
                  <th scope="col">Day</th>
                  <th scope="col">Still watched</th>
                  <th scope="col">Ended</th>
                  <th scope="col">Still good</th>
                  <th scope="col">8 in 10 sure between</th>
                </tr>
              </thead>
              <tbody>
                {group.steps.map(({ days, atRisk, ended, survival, low, high }) => (
                  <tr key={days}>
                    <th scope="row">{days}</th>
                    <td>{atRisk}</td>
                    <td>{ended}</td>
                    <td>{tenths(survival)}</td>
                    <td>{low === null || high === null ? '' : `${tenths(low)} and ${tenths(high)}`}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          ),
      )}
      <details className={styles.more}>
        <summary>more</summary>
        <p>
          Product-limit curves with log–log limits (80 %); styles still good when last seen, taken down for
          another reason or ended by water count up to that day.
          {comparison?.test &&
            ` Heads compared with themselves by a stratified log-rank test: χ² ${comparison.test.chiSquare.toFixed(2)} on one degree, p ${p(comparison.test.p)}.`}
        </p>
      </details>
    </>
  );
}

/** Every choice that was compared, with its effect and what is missing. */
export function DifferenceDetail({ difference }: { readonly difference: Difference }) {
  const { findings, outcome } = difference;
  return (
    <>
      <table className={styles.table}>
        <caption>
          {outcome === 'days' ? 'Against how long it lasts' : 'Against definition on the first day'}
        </caption>
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">Goes with</th>
            <th scope="col">What is said of it</th>
          </tr>
        </thead>
        <tbody>
          {findings.map((finding) => (
            <tr key={finding.id}>
              <th scope="row">
                {finding.status === 'never-changed'
                  ? capitalised(finding.factor.label)
                  : capitalised(betterWay(finding, outcome))}
              </th>
              <td>{finding.status === 'never-changed' ? '' : effectWords(finding, outcome)}</td>
              <td>
                {finding.status === 'claimed' &&
                  `goes with ${outcome === 'days' ? 'longer life' : 'cleaner curls'}${finding.factor.isAlsoPlanning ? '; could be how you choose, not what it does' : ''}`}
                {finding.status === 'worth-a-trial' && 'leans that way: worth trying'}
                {finding.status === 'unclear' &&
                  `no clear effect yet${finding.notYet.some(({ kind }) => kind !== 'sign' && kind !== 'small') ? `: ${notYetWords(finding.notYet.filter(({ kind }) => kind !== 'sign' && kind !== 'small'))} wanted` : ''}`}
                {finding.status === 'never-changed' && 'never changed within a head'}
                {finding.status === 'always-together' &&
                  `always changed together with ${finding.together.join(', ')}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <details className={styles.more}>
        <summary>more</summary>
        <p>
          Each set’s distance from the trade’s figure, with what is compared left out of that, against each
          choice centred within its head. Said only where it goes that way with 99 in 100, is worth a tenth of
          the days or half a point, and each way was used five times on heads that had both. It goes with, and
          may not cause.
        </p>
        <table className={styles.table}>
          <tbody>
            {findings
              .filter(({ status }) => status !== 'never-changed')
              .map(({ id, factor, sureOfSign }) => (
                <tr key={id}>
                  <th scope="row">{factor.label}</th>
                  <td>sure of its direction: {sureOfSign.toFixed(3).replace(/^0/, '')}</td>
                </tr>
              ))}
          </tbody>
        </table>
      </details>
    </>
  );
}

/** Every half-head set of a trial, and what they say together. */
export function TrialDetail({
  trial,
  noticeable,
  clock,
}: {
  readonly trial: Trial;
  readonly noticeable: number;
  readonly clock: Clock;
}) {
  const { verdict, a, b, sets, nextIsALeft } = trial;
  const next =
    nextIsALeft === null
      ? 'a coin decides which goes left next'
      : `${nextIsALeft ? a : b} goes on the left next`;
  return (
    <>
      <p>
        {trialWords(verdict, capitalised(a), capitalised(b))}
        {verdict.moreSets === 0 ? '' : ` Four sets, two each way, are a good plan; ${next}.`}
      </p>
      <table className={styles.table}>
        <caption>
          A is {a}; B is {b}
        </caption>
        <thead>
          <tr>
            <th scope="col">Set</th>
            <th scope="col">A was on the</th>
            <th scope="col">Days both rated</th>
            <th scope="col">A over B, points</th>
          </tr>
        </thead>
        <tbody>
          {sets.map(({ setId, startedAtMs, isALeft, pairs }) => {
            const mean = pairs.reduce((sum, pair) => sum + pair.a - pair.b, 0) / Math.max(1, pairs.length);
            return (
              <tr key={setId}>
                <th scope="row">
                  <a href={`/sets/${setId}`}>{formatDay(startedAtMs, clock)}</a>
                </th>
                <td>{isALeft ? 'left' : 'right'}</td>
                <td>{pairs.length}</td>
                <td>{pairs.length === 0 ? '' : `${mean < 0 ? '−' : '+'}${formatIndex(Math.abs(mean))}`}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <details className={styles.more}>
        <summary>more</summary>
        <p>
          Chance that A is better by {noticeable} {noticeable === 1 ? 'point' : 'points'} or more:{' '}
          {verdict.chanceA.toFixed(2)}; that B is: {verdict.chanceB.toFixed(2)}; that nobody would notice:{' '}
          {verdict.chanceSame.toFixed(2)}. A trial counts once, however many days of it were rated; a side of
          the head that comes out better by itself ({formatIndex(Math.abs(verdict.side))} points,{' '}
          {verdict.side >= 0 ? 'left' : 'right'}) is told apart from what was on it.
        </p>
      </details>
    </>
  );
}

/** How one kind of band held, and by model. */
export function BandDetail({ band }: { readonly band: BandRightness }) {
  const { coverage, kind, byVersion, sharpness, score } = band;
  const known = coverage.total - coverage.unknown;
  const { unit } = BAND_WORDS[kind];
  return (
    <>
      <p>
        {coverage.held} of {known} fell where eight in ten should
        {coverage.interval &&
          `: between ${tenths(coverage.interval[0])} and ${tenths(coverage.interval[1])} of all such forecasts do`}
        . Bands are usually {sharpness.toFixed(sharpness < 10 ? 1 : 0)} {unit} wide.
        {coverage.unknown > 0 &&
          ` Were all ${coverage.unknown} that cannot be told yet inside, ${coverage.held + coverage.unknown} of ${coverage.total}; were all outside, ${coverage.held} of ${coverage.total}.`}
      </p>
      <table className={styles.table}>
        <caption>By version of the model</caption>
        <tbody>
          {byVersion.map(({ version, held, known: of }) => (
            <tr key={version}>
              <th scope="row">{version}</th>
              <td>
                {held} of {of}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {score !== null && (
        <details className={styles.more}>
          <summary>more</summary>
          <p>
            Ranked probability score in widths of the band, lower is better: {score.toFixed(2)} (.23 to .6 is
            usual).
          </p>
        </details>
      )}
    </>
  );
}

/** How chances to be dry held, bin by bin. */
export function DryDetail({ dry: { reliability } }: { readonly dry: DryRightness }) {
  if (!reliability) return null;
  return (
    <>
      <table className={styles.table}>
        <caption>Chance that was told, and how often it came so</caption>
        <thead>
          <tr>
            <th scope="col">Told</th>
            <th scope="col">Times</th>
            <th scope="col">Came so</th>
          </tr>
        </thead>
        <tbody>
          {reliability.bins.map(({ from, to, count, meanChance, share, isHollow }) => (
            <tr key={from}>
              <th scope="row">
                {Math.round(from * 100)} to {Math.round(to * 100)} %, {formatChance(meanChance)} in the middle
              </th>
              <td>{count}</td>
              <td>
                {Math.round(share * count)} of {count}
                {isHollow && ', too few'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <details className={styles.more}>
        <summary>more</summary>
        <p>
          Brier score {reliability.brier.toFixed(3)}: reliability {reliability.reliability.toFixed(3)},
          resolution {reliability.resolution.toFixed(3)}, uncertainty {reliability.uncertainty.toFixed(3)}.
        </p>
      </details>
    </>
  );
}

/** How far two people lie apart, scale by scale. */
export function PeopleDetail({ people: { first, second, scales } }: { readonly people: TwoPeople }) {
  const labelOf = new Map(ratingScales.map(({ id, label }) => [id, label]));
  return (
    <table className={styles.table}>
      <caption>
        {second} against {first}, on days both rated
      </caption>
      <thead>
        <tr>
          <th scope="col">Scale</th>
          <th scope="col">Days</th>
          <th scope="col">{second} gives</th>
          <th scope="col">Gap otherwise</th>
          <th scope="col">One scale?</th>
        </tr>
      </thead>
      <tbody>
        {scales.map((own) => (
          <tr key={own.scale}>
            <th scope="row">{labelOf.get(own.scale)}</th>
            <td>{own.pairs}</td>
            <td>
              {Math.abs(own.offset) < 0.05
                ? 'the same'
                : `${formatIndex(Math.abs(own.offset))} ${own.offset > 0 ? 'more' : 'less'}`}
            </td>
            <td>{formatIndex(own.typicalGap)}</td>
            <td>{agreementSure(own).words}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
