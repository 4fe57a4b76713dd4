'use client';
import type { Clock } from '@/core/formats/display';
import type { PlanFile } from '@/core/formats/plan-file';
import { MINUTE_MS } from '@/core/units/time';
import { formatMinutes, formatMoment } from '@/ui/format';
import styles from './set-page.module.css';

/** Differences that nobody plans by. */
const SAME_MIN = 5;

/** How far off the plan something happened. */
function offWords(plannedMs: number, cameMs: number): string {
  const min = (cameMs - plannedMs) / MINUTE_MS;
  if (Math.abs(min) < SAME_MIN) return 'as planned';
  return `${formatMinutes(Math.abs(min))} ${min > 0 ? 'later' : 'sooner'}`;
}

/** When each stage was planned, and when it came. */
export function TimesTable({
  schedule,
  startedAtMs,
  installedAtMs,
  takenDownAtMs,
  clock,
}: {
  readonly schedule: PlanFile['schedule'];
  readonly startedAtMs: number;
  readonly installedAtMs: number | null;
  readonly takenDownAtMs: number | null;
  readonly clock: Clock;
}) {
  const block = (step: string) => schedule?.find((own) => own.step === step);
  const ms = (text: string | undefined) => (text === undefined ? null : Date.parse(text));
  const rows = [
    { label: 'Begun', plannedMs: ms(schedule?.[0]?.startAt), cameMs: startedAtMs },
    { label: 'All in', plannedMs: ms(block('install')?.endAt), cameMs: installedAtMs },
    { label: 'Taken down', plannedMs: ms(block('takedown')?.startAt), cameMs: takenDownAtMs },
  ];
  return (
    <table className={styles.times}>
      <thead>
        <tr>
          <td />
          <th scope="col">Planned</th>
          <th scope="col">Came</th>
          <th scope="col">
            <span className="visually-hidden">Difference</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ label, plannedMs, cameMs }) => (
          <tr key={label}>
            <th scope="row">{label}</th>
            <td>{plannedMs === null ? 'no time set' : formatMoment(plannedMs, clock)}</td>
            <td>{cameMs === null ? 'not yet' : formatMoment(cameMs, clock)}</td>
            <td>{plannedMs !== null && cameMs !== null && offWords(plannedMs, cameMs)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
