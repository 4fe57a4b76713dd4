'use client';
import {
  CartesianGrid,
  ComposedChart,
  Legend,
  Line,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts';
import type { WearDayForecast } from '@/core/plan/set-result';
import type { RatedDay } from '@/core/wear/last-good-day';
import styles from './wear-chart.module.css';
import { wearSeries } from './wear-series';

/** Definition and frizz by day: forecast as lines, entries as marks, with the same figures in a table. */
export function WearChart({
  forecast,
  days,
}: {
  forecast: readonly WearDayForecast[];
  days: readonly RatedDay[];
}) {
  const data = wearSeries(forecast, days);
  return (
    <figure className={styles.chart}>
      <div aria-hidden="true">
        <ResponsiveContainer width="100%" height={240}>
          <ComposedChart
            data={data}
            accessibilityLayer={false}
            margin={{ top: 8, right: 12, bottom: 4, left: -18 }}
          >
            <CartesianGrid stroke="var(--line)" vertical={false} />
            <XAxis dataKey="day" stroke="var(--soft-ink)" allowDecimals={false} />
            <YAxis domain={[0, 10]} ticks={[0, 2, 4, 6, 8, 10]} stroke="var(--soft-ink)" />
            <Line
              name="Definition, forecast"
              dataKey="forecastDefinition"
              stroke="var(--act)"
              strokeWidth={2.5}
              dot={false}
              isAnimationActive={false}
            />
            <Line
              name="Frizz, forecast"
              dataKey="forecastFrizz"
              stroke="var(--caution)"
              strokeWidth={2.5}
              strokeDasharray="7 5"
              dot={false}
              isAnimationActive={false}
            />
            <Scatter
              name="Definition, rated"
              dataKey="definition"
              fill="var(--act)"
              shape="circle"
              isAnimationActive={false}
            />
            <Scatter
              name="Frizz, rated"
              dataKey="frizz"
              fill="var(--caution)"
              shape="triangle"
              isAnimationActive={false}
            />
            <Legend />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <details>
        <summary>The same as a table</summary>
        <table>
          <thead>
            <tr>
              <th>Day</th>
              <th>Definition forecast</th>
              <th>rated</th>
              <th>Frizz forecast</th>
              <th>rated</th>
            </tr>
          </thead>
          <tbody>
            {data.map((row) => (
              <tr key={row.day}>
                <td>{row.day}</td>
                <td>{row.forecastDefinition?.toFixed(1) ?? '–'}</td>
                <td>{row.definition ?? '–'}</td>
                <td>{row.forecastFrizz?.toFixed(1) ?? '–'}</td>
                <td>{row.frizz ?? '–'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </figure>
  );
}
