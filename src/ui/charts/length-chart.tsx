'use client';
import {
  CartesianGrid,
  Legend,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import type { Clock, Units } from '@/core/formats/display';
import { ZONE_LABEL, type Zone } from '@/core/hair/zone';
import { inchesFromCm } from '@/core/units/length';
import { formatLength, formatLocalDay } from '../format';
import styles from './chart.module.css';

const STROKES = [
  'var(--act)',
  'var(--caution)',
  'var(--dry)',
  'var(--hand-3)',
  'var(--soft-ink)',
  'var(--control)',
];
const DASHES = ['0', '7 5', '2 4', '9 3 2 3', '5 5', '1 3'];

/** Stretched lengths by date, a line a zone, cuts as dotted lines; the same figures in a table. */
export function LengthChart({
  zones,
  cuts,
  units,
  clock,
}: {
  readonly zones: readonly {
    readonly zone: Zone;
    readonly points: readonly { readonly date: string; readonly cm: number }[];
  }[];
  readonly cuts: readonly { readonly date: string }[];
  readonly units: Units;
  readonly clock: Clock;
}) {
  const dates = [...new Set(zones.flatMap(({ points }) => points.map(({ date }) => date)))].sort();
  const show = (cm: number) => (units.length === 'in' ? inchesFromCm(cm) : cm);
  const data = dates.map((date) => ({
    at: Date.parse(date),
    ...Object.fromEntries(
      zones.flatMap(({ zone, points }) => {
        const point = points.find((own) => own.date === date);
        return point ? [[zone, Math.round(10 * show(point.cm)) / 10]] : [];
      }),
    ),
  }));
  const month = (ms: number) =>
    new Intl.DateTimeFormat('en-GB', { month: 'short', timeZone: 'UTC' }).format(ms);
  return (
    <figure className={styles.chart}>
      <div aria-hidden="true">
        <ResponsiveContainer width="100%" height={200}>
          <LineChart
            data={data}
            accessibilityLayer={false}
            margin={{ top: 8, right: 12, bottom: 4, left: -18 }}
          >
            <CartesianGrid stroke="var(--line)" vertical={false} />
            <XAxis
              dataKey="at"
              type="number"
              domain={['dataMin', 'dataMax']}
              tickFormatter={month}
              stroke="var(--soft-ink)"
            />
            <YAxis
              domain={['auto', 'auto']}
              stroke="var(--soft-ink)"
              unit={units.length === 'in' ? ' in' : ''}
            />
            {cuts.map(({ date }) => (
              <ReferenceLine
                key={date}
                x={Date.parse(date)}
                stroke="var(--caution)"
                strokeDasharray="2 3"
                label={{ value: 'cut', position: 'insideTopRight', fill: 'var(--caution)', fontSize: 12 }}
              />
            ))}
            {zones.map(({ zone }, i) => (
              <Line
                key={zone}
                name={ZONE_LABEL[zone]}
                dataKey={zone}
                stroke={STROKES[i]!}
                strokeDasharray={DASHES[i]!}
                strokeWidth={2.5}
                connectNulls
                dot={{ r: 4, strokeDasharray: '0' }}
                isAnimationActive={false}
              />
            ))}
            <Legend />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <details>
        <summary>The same as a table</summary>
        <table>
          <thead>
            <tr>
              <th>Day</th>
              {zones.map(({ zone }) => (
                <th key={zone}>{ZONE_LABEL[zone]}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {dates.map((date) => (
              <tr key={date}>
                <td>{formatLocalDay(date, clock)}</td>
                {zones.map(({ zone, points }) => {
                  const point = points.find((own) => own.date === date);
                  return <td key={zone}>{point ? formatLength(point.cm, units) : ''}</td>;
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </figure>
  );
}
