import type { Units } from '@/core/formats/display';
import type { PlanFile } from '@/core/formats/plan-file';
import { formatDiameter, formatIndex } from '@/ui/format';
import styles from './drying-steps.module.css';

const MOST_DAYS = 5;

/** What the nights make of the style, day by day. */
export function NightsAhead({ byDay, units }: { byDay: PlanFile['result']['byDay']; units: Units }) {
  return (
    <table className={styles.nights}>
      <caption className="visually-hidden">The style after each night</caption>
      <thead>
        <tr>
          <th scope="col">Day</th>
          <th scope="col">defined</th>
          <th scope="col">volume</th>
          <th scope="col">curl</th>
        </tr>
      </thead>
      <tbody>
        {byDay.slice(0, MOST_DAYS).map(({ day, definition, volume, curlDiameterMm }) => (
          <tr key={day}>
            <th scope="row">{day === 0 ? 'first' : day}</th>
            <td>{formatIndex(definition)}</td>
            <td>{formatIndex(volume)}</td>
            <td>{formatDiameter(curlDiameterMm, units)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
