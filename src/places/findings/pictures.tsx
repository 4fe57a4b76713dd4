import type { FactorFinding } from '@/core/evidence/difference';
import type { LastingGroup } from '@/core/evidence/lasting';
import type { JudgedSet } from '@/core/evidence/rightness';
import type { Trial } from '@/core/evidence/trials';
import type { ScaleAgreement } from '@/core/evidence/two-people';
import styles from './pictures.module.css';

const WIDTH = 300;
const HEIGHT = 96;

/** A picture beside a sentence; the sentence and the table behind it say the same in words. */
const Picture = ({ children, height = HEIGHT }: { children: React.ReactNode; height?: number }) => (
  <svg className={styles.picture} viewBox={`0 0 ${WIDTH} ${height}`} aria-hidden>
    {children}
  </svg>
);

const LEFT = 36;
const BOTTOM = 74;
const TOP = 10;

/** Shares still good, day by day: steps down, the first with its band. */
export function CurvesPicture({ groups }: { readonly groups: readonly LastingGroup[] }) {
  const shown = groups.slice(0, 2);
  const last = Math.max(3, ...shown.map(({ longest }) => longest)) + 1;
  const x = (day: number) => LEFT + ((WIDTH - LEFT - 10) * day) / last;
  const y = (share: number) => BOTTOM - (BOTTOM - TOP) * share;
  const stepsOf = ({ steps, longest }: LastingGroup) =>
    `M ${x(0)} ${y(1)} ${steps.map(({ days, survival }) => `H ${x(days)} V ${y(survival)}`).join(' ')} H ${x(longest)}`;
  const [first] = shown;
  const ticks = Array.from({ length: last + 1 }, (_, day) => day).filter(
    (day) => last <= 9 || day % Math.ceil(last / 8) === 0,
  );
  return (
    <Picture>
      {[1, 0.5].map((share) => (
        <g key={share}>
          <line className={styles.rule} x1={LEFT} x2={WIDTH - 10} y1={y(share)} y2={y(share)} />
          <text x={LEFT - 6} y={y(share) + 4} textAnchor="end">
            {share === 1 ? 'all' : 'half'}
          </text>
        </g>
      ))}
      <line className={styles.rule} x1={LEFT} x2={WIDTH - 10} y1={y(0)} y2={y(0)} />
      {ticks.map((day) => (
        <text key={day} x={x(day)} y={HEIGHT - 6} textAnchor="middle">
          {day}
        </text>
      ))}
      {first &&
        first.steps.map(({ days, low, high }, i) => {
          const next = first.steps[i + 1]?.days ?? first.longest;
          return low === null || high === null ? null : (
            <rect
              key={days}
              className={styles.band}
              x={x(days)}
              width={Math.max(0, x(next) - x(days))}
              y={y(high)}
              height={Math.max(0, y(low) - y(high))}
            />
          );
        })}
      {shown.map((group, i) => (
        <path key={group.key} className={i === 0 ? styles.first : styles.second} d={stepsOf(group)} />
      ))}
    </Picture>
  );
}

/** Ratings of the two ways, day by day, as the mean over the sets. */
export function TrialPicture({ trial }: { readonly trial: Trial }) {
  const days = [...new Set(trial.sets.flatMap(({ pairs }) => pairs.map(({ day }) => day)))].sort(
    (a, b) => a - b,
  );
  const meanOf = (which: 'a' | 'b', day: number) => {
    const own = trial.sets.flatMap(({ pairs }) =>
      pairs.filter((pair) => pair.day === day).map((pair) => pair[which]),
    );
    return own.reduce((sum, value) => sum + value, 0) / own.length;
  };
  const last = Math.max(1, ...days);
  const x = (day: number) => 120 + ((WIDTH - 150) * day) / last;
  const y = (points: number) => BOTTOM - ((BOTTOM - TOP) * points) / 10;
  const line = (which: 'a' | 'b') => days.map((day) => `${x(day)},${y(meanOf(which, day))}`).join(' ');
  return (
    <Picture>
      <path className={styles.halfA} d="M 48 10 A 34 38 0 0 0 48 86 Z" />
      <path className={styles.halfB} d="M 48 10 A 34 38 0 0 1 48 86 Z" />
      <text className={styles.letter} x="32" y="53" textAnchor="middle">
        A
      </text>
      <text className={styles.letter} x="64" y="53" textAnchor="middle">
        B
      </text>
      {(['a', 'b'] as const).map((which) => (
        <g key={which} className={which === 'a' ? styles.wayA : styles.wayB}>
          <polyline points={line(which)} />
          {days.map((day) =>
            which === 'a' ? (
              <circle key={day} cx={x(day)} cy={y(meanOf('a', day))} r="4.5" />
            ) : (
              <rect key={day} x={x(day) - 4} y={y(meanOf('b', day)) - 4} width="8" height="8" />
            ),
          )}
          {days.length > 0 && (
            <text x={x(last) + 10} y={y(meanOf(which, days.at(-1)!)) + 4}>
              {which.toUpperCase()}
            </text>
          )}
        </g>
      ))}
      {days.map((day) => (
        <text key={day} x={x(day)} y={HEIGHT - 6} textAnchor="middle">
          {day}
        </text>
      ))}
    </Picture>
  );
}

/** Forecasts in the order they were given: each band, with what came as a dot inside or a cross outside. */
export function HeldPicture({ sets, isLn }: { readonly sets: readonly JudgedSet[]; readonly isLn: boolean }) {
  const on = (value: number) => (isLn ? Math.log(Math.max(0.5, value)) : value);
  const offOf = ({ low, middle, high }: JudgedSet, value: number) => {
    const half = Math.max(1e-6, (on(high) - on(low)) / 2);
    return Math.max(-2, Math.min(2, (on(value) - on(middle)) / half));
  };
  const gap = (WIDTH - 24) / Math.max(8, sets.length);
  const y = (off: number) => 44 - 17 * off;
  return (
    <Picture>
      {sets.map((set, i) => {
        const x = 12 + gap * (i + 0.5);
        const came = offOf(set, set.came);
        const isHeld = set.isAtLeast ? set.came <= set.high : set.came >= set.low && set.came <= set.high;
        return (
          <g key={set.setId}>
            <rect
              className={styles.said}
              x={x - Math.min(5, gap / 2 - 1)}
              width={Math.min(10, gap - 2)}
              y={y(offOf(set, set.high))}
              height={y(offOf(set, set.low)) - y(offOf(set, set.high))}
              rx="4"
            />
            {isHeld ? (
              <circle className={set.isAtLeast ? styles.open : styles.held} cx={x} cy={y(came)} r="3.6" />
            ) : (
              <path
                className={styles.missed}
                d={`M ${x - 4} ${y(came) - 4} l 8 8 M ${x + 4} ${y(came) - 4} l -8 8`}
              />
            )}
          </g>
        );
      })}
      <text x="12" y={HEIGHT - 4}>
        oldest
      </text>
      <text x={WIDTH - 12} y={HEIGHT - 4} textAnchor="end">
        newest
      </text>
    </Picture>
  );
}

/** Effects with their ranges, against none. */
export function EffectsPicture({
  findings,
  isShare,
}: {
  readonly findings: readonly FactorFinding[];
  readonly isShare: boolean;
}) {
  const shown = findings.filter(({ status }) => status !== 'never-changed').slice(0, 4);
  const on = (value: number) => (isShare ? Math.log(value) : value);
  const reach = Math.max(0.1, ...shown.flatMap(({ low, high }) => [Math.abs(on(low)), Math.abs(on(high))]));
  const x = (value: number) => 210 + (78 * on(value)) / reach;
  return (
    <Picture>
      <line className={styles.axis} x1={210} x2={210} y1={4} y2={HEIGHT - 16} />
      {shown.map(({ id, factor, low, effect, high, status }, i) => {
        const y = 14 + i * 20;
        return (
          <g key={id} data-claimed={status === 'claimed'} className={styles.effect}>
            <text x={0} y={y + 4}>
              {factor.label.length > 22 ? `${factor.label.slice(0, 21)}…` : factor.label}
            </text>
            <rect
              x={Math.min(x(low), x(high))}
              width={Math.abs(x(high) - x(low))}
              y={y - 6}
              height={12}
              rx="6"
            />
            <circle cx={x(effect)} cy={y} r="4" />
          </g>
        );
      })}
      <text x={210} y={HEIGHT - 2} textAnchor="middle">
        none
      </text>
      <text x={WIDTH} y={HEIGHT - 2} textAnchor="end">
        {isShare ? 'longer' : 'cleaner'}
      </text>
    </Picture>
  );
}

/** How far one person lies from the other, scale by scale. */
export function PeoplePicture({ scales }: { readonly scales: readonly ScaleAgreement[] }) {
  const shown = scales.slice(0, 4);
  const x = (points: number) => 190 + 40 * Math.max(-2.5, Math.min(2.5, points));
  return (
    <Picture>
      <line className={styles.axis} x1={190} x2={190} y1={4} y2={HEIGHT - 16} />
      {shown.map(({ scale, offset }, i) => {
        const y = 14 + i * 20;
        return (
          <g key={scale} className={styles.effect} data-claimed={Math.abs(offset) >= 0.5}>
            <text x={0} y={y + 4}>
              {scale}
            </text>
            <line className={styles.rule} x1={190} x2={x(offset)} y1={y} y2={y} />
            <circle cx={x(offset)} cy={y} r="4.5" />
          </g>
        );
      })}
      <text x={190} y={HEIGHT - 2} textAnchor="middle">
        alike
      </text>
      <text x={WIDTH} y={HEIGHT - 2} textAnchor="end">
        2 points more
      </text>
    </Picture>
  );
}
