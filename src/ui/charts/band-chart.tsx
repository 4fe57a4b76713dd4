'use client';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts';
import type { DaySeries } from '@/core/diary/day-series';
import { formatIndex, formatPercent } from '../format';
import styles from './chart.module.css';

const SHOW: Readonly<Record<DaySeries['unit'], (value: number) => string>> = {
  'of 10': formatIndex,
  '%': formatPercent,
  mm: (value) => `${Math.round(value)} mm`,
};

/** One thing day by day: what was said as a band with its middle, what came as marks, with the same figures in a table. */
export function BandChart({ series: { label, unit, days, held } }: { readonly series: DaySeries }) {
  const show = SHOW[unit];
  const data = days.map(({ day, said, seen, photo }) => ({
    day,
    band: said ? [said.low, said.high] : undefined,
    middle: said?.middle,
    whole: seen.whole,
    left: seen.left,
    right: seen.right,
    photo: photo ?? undefined,
  }));
  const domain: [number, number | 'auto'] = unit === 'of 10' ? [0, 10] : unit === '%' ? [0, 1] : [0, 'auto'];
  const isHalved = days.some(({ seen }) => seen.left !== undefined || seen.right !== undefined);
  const hasPhoto = days.some(({ photo }) => photo !== null);
  return (
    <figure className={styles.chart}>
      <figcaption>
        <b>{label}</b>
        <span>
          {held.inside + held.outside > 0 && `${held.inside} of ${held.inside + held.outside} as was said`}
          {isHalved && '; ● left, ▲ right'}
          {hasPhoto && '; ◆ from a picture'}
        </span>
      </figcaption>
      <div aria-hidden="true">
        <ResponsiveContainer width="100%" height={150}>
          <ComposedChart
            data={data}
            accessibilityLayer={false}
            margin={{ top: 6, right: 8, bottom: 0, left: -14 }}
          >
            <CartesianGrid stroke="var(--line)" vertical={false} />
            <XAxis
              dataKey="day"
              type="number"
              domain={[0, 'dataMax']}
              allowDecimals={false}
              stroke="var(--soft-ink)"
            />
            <YAxis
              domain={domain}
              tickFormatter={(value: number) => (unit === '%' ? formatPercent(value) : String(value))}
              tickCount={3}
              stroke="var(--soft-ink)"
              width={58}
            />
            <Area dataKey="band" stroke="none" fill="var(--dry-soft)" isAnimationActive={false} />
            <Line
              dataKey="middle"
              stroke="var(--dry)"
              strokeWidth={2}
              dot={false}
              isAnimationActive={false}
            />
            <Scatter dataKey="whole" fill="var(--act)" shape="circle" isAnimationActive={false} />
            <Scatter dataKey="left" fill="var(--act)" shape="circle" isAnimationActive={false} />
            <Scatter dataKey="right" fill="var(--caution)" shape="triangle" isAnimationActive={false} />
            <Scatter dataKey="photo" fill="var(--soft-ink)" shape="diamond" isAnimationActive={false} />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <details>
        <summary>As a table</summary>
        <table>
          <thead>
            <tr>
              <th>Day</th>
              <th>said</th>
              <th>came</th>
            </tr>
          </thead>
          <tbody>
            {days
              .filter(({ seen, photo }) => Object.keys(seen).length > 0 || photo !== null)
              .map(({ day, said, seen, photo }) => (
                <tr key={day}>
                  <td>{day}</td>
                  <td>{said ? `${show(said.middle)}, ${show(said.low)} to ${show(said.high)}` : ''}</td>
                  <td>
                    {[
                      ...Object.entries(seen).map(([half, value]) =>
                        half === 'whole' ? show(value) : `${half} ${show(value)}`,
                      ),
                      ...(photo === null ? [] : [`${show(photo)} from a picture`]),
                    ].join('; ')}
                  </td>
                </tr>
              ))}
          </tbody>
        </table>
      </details>
    </figure>
  );
}
