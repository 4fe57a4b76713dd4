'use client';
import Link from '@/ui/shell/link';
import { toolKinds, type ToolKindId } from '@/core/techniques/tool-kind';
import { formatDiameter } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import type { Shelf } from './shelf-types';
import styles from './shelf-page.module.css';

/** Every size in the drawer: its swatch, how many, and how many the booked sets take at most. */
export function ToolRows({ tools, booked }: Pick<Shelf, 'tools' | 'booked'>) {
  const { units } = useUnits();
  const needed = (kind: string, diameterMm: number) =>
    Math.max(
      0,
      ...booked.flatMap(({ check }) =>
        check.tools
          .filter((tool) => tool.kind === kind && tool.diameterMm === diameterMm)
          .map((tool) => tool.needed),
      ),
    );
  if (tools.length === 0) return <p className={styles.quiet}>None yet.</p>;
  return (
    <ul className={styles.tools}>
      {tools.map((tool) => {
        const takes = needed(tool.kind, tool.diameterMm);
        return (
          <li key={tool.id}>
            <svg viewBox="0 0 34 14" aria-hidden="true">
              <rect x="1" y="2" width="32" height="10" rx="5" fill={tool.swatch} stroke="currentColor" />
            </svg>
            <Link href={`/shelf/tools/${tool.id}`}>
              {formatDiameter(tool.diameterMm, units)}{' '}
              {toolKinds[tool.kind as ToolKindId]?.noun[0] ?? tool.kind}
            </Link>
            <span>{tool.workingLengthMm} mm long</span>
            <strong>{tool.owned}</strong>
            <span data-short={takes > tool.owned}>{takes > 0 ? `${takes} booked` : ''}</span>
          </li>
        );
      })}
    </ul>
  );
}
