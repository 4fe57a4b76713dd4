import { curlPoints } from '@/core/curl/hung-curl';
import { ZONE_LABEL } from '@/core/hair/zone';
import { cmFromInches } from '@/core/units/length';
import { hairTone } from '@/ui/crown-map/tones';
import { formatDiameter, formatLength } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { ropeRadiusCm, type ZoneCurl } from './seen-curls';
import styles from './round-dialog.module.css';

const COLUMN_CM = 4.4;
const TOP_CM = 1.6;
const RULER_CM = 1.3;
const BOTTOM_CM = 1.2;

/** One curl of each zone hanging beside a ruler, all to one scale. */
export function FlatCurls({
  curls,
  pieces,
  hair,
}: {
  curls: readonly ZoneCurl[];
  pieces: number;
  hair: string;
}) {
  const { units } = useUnits();
  const longest = Math.max(5, ...curls.map(({ visibleCm }) => visibleCm));
  const stepCm = units.length === 'cm' ? 1 : cmFromInches(1);
  const steps = Math.ceil(longest / stepCm);
  const width = RULER_CM + 1 + COLUMN_CM * curls.length;
  const height = TOP_CM + steps * stepCm + BOTTOM_CM;
  const y = (cm: number) => TOP_CM + cm;
  return (
    <svg
      className={styles.flat}
      viewBox={`0 0 ${width.toFixed(2)} ${height.toFixed(2)}`}
      role="img"
      aria-label={curls
        .map(
          ({ zone, visibleCm, diameterMm }) =>
            `${ZONE_LABEL[zone]}: shows ${formatLength(visibleCm, units)}, ${formatDiameter(diameterMm, units)} wide`,
        )
        .join('; ')}
    >
      <g className={styles.ruler}>
        <path d={`M${RULER_CM} ${y(0)}V${y(steps * stepCm)}`} />
        {Array.from({ length: steps + 1 }, (_, i) => (
          <g key={i}>
            <path d={`M${RULER_CM} ${y(i * stepCm)}h${i % 5 === 0 || units.length === 'in' ? -0.6 : -0.3}`} />
            {(i % 5 === 0 || units.length === 'in') && (
              <text x={RULER_CM - 0.7} y={y(i * stepCm) + 0.16} textAnchor="end">
                {i}
              </text>
            )}
          </g>
        ))}
        <text x={RULER_CM} y={y(steps * stepCm) + 0.7} textAnchor="middle">
          {units.length === 'cm' ? 'cm' : 'in'}
        </text>
      </g>
      {curls.map((curl, i) => {
        const x = RULER_CM + 1 + COLUMN_CM * (i + 0.5);
        const points = curlPoints(curl).map(
          ({ alongCm, uCm }) => `${(x + uCm).toFixed(3)} ${y(alongCm).toFixed(3)}`,
        );
        return (
          <g key={curl.zone}>
            <text className={styles.zone} x={x} y={0.6} textAnchor="middle">
              {ZONE_LABEL[curl.zone]}
            </text>
            <text x={x} y={1.2} textAnchor="middle" className={styles.size}>
              {formatLength(curl.visibleCm, units)}, {formatDiameter(curl.diameterMm, units)}
            </text>
            <path
              d={`M${points.join('L')}`}
              fill="none"
              stroke={hairTone(hair).stroke}
              strokeWidth={2 * ropeRadiusCm(curl, pieces)}
              strokeLinejoin="round"
              strokeLinecap="round"
              className={styles.strand}
            />
          </g>
        );
      })}
    </svg>
  );
}
