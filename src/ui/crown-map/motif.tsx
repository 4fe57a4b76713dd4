import type { DrawnSection } from '@/core/parting/drawn-layout';
import type { Technique } from '@/core/techniques/technique';
import styles from './crown-map.module.css';

export type MotifKind = Technique['motif'];

/** Sections with less clear room than this show no motif. */
export const MOTIF_ROOM = 7.5;
const FIVE = [-2, -1, 0, 1, 2];

interface Place {
  readonly x: number;
  readonly y: number;
  readonly r: number;
  readonly winding: DrawnSection['winding'];
}

/** Slanted leaves: ropes wound round each other. */
const rope = ({ x, y, r }: Place) => {
  const leaf = r * 0.17;
  return FIVE.map((i) => (
    <ellipse
      key={i}
      cx={x + i * leaf * 1.5}
      cy={y}
      rx={leaf * 0.62}
      ry={leaf * 1.25}
      transform={`rotate(28 ${x + i * leaf * 1.5} ${y})`}
    />
  ));
};

/** Leaves that lean to one side and the other: a plait. */
const plait = ({ x, y, r }: Place) => {
  const leaf = r * 0.17;
  return FIVE.map((i) => {
    const at = x + i * leaf * 1.35;
    const side = i % 2 === 0 ? 1 : -1;
    return (
      <ellipse
        key={i}
        cx={at}
        cy={y + side * leaf * 0.45}
        rx={leaf * 0.6}
        ry={leaf * 1.1}
        transform={`rotate(${side * 42} ${at} ${y + side * leaf * 0.45})`}
      />
    );
  });
};

/** A rounded bar with wraps. */
const rod = ({ x, y, r, winding }: Place) => {
  const half = r * 0.72;
  const thick = r * 0.17;
  return (
    <>
      <rect x={x - half} y={y - thick} width={2 * half} height={2 * thick} rx={thick} />
      {FIVE.map((i) => {
        const at = x + (i * half) / 2.9;
        const lean = winding === 'to-left' ? -thick * 0.5 : thick * 0.5;
        return <path key={i} d={`M${at - lean} ${y - thick}L${at + lean} ${y + thick}`} />;
      })}
    </>
  );
};

/** A spiral of two turns: a knot or a former. */
const spiral = ({ x, y, r }: Place) => {
  const size = r * 0.3;
  const points = Array.from({ length: 25 }, (_, i) => {
    const angle = (i / 24) * 4 * Math.PI;
    const radius = (size * (i + 3)) / 27;
    return `${(x + radius * Math.cos(angle)).toFixed(1)} ${(y + radius * Math.sin(angle)).toFixed(1)}`;
  });
  return <path d={`M${points.join('L')}`} fill="none" />;
};

/** Three small loops: a coil. */
const coil = ({ x, y, r }: Place) => {
  const loop = r * 0.17;
  return [-1, 0, 1].map((i) => (
    <ellipse key={i} cx={x + i * loop * 1.5} cy={y} rx={loop} ry={loop * 1.2} fill="none" />
  ));
};

const MOTIFS: Readonly<Record<MotifKind, (place: Place) => React.ReactNode>> = {
  rope,
  plait,
  rod,
  spiral,
  coil,
};

/** Leaves all along a lane. */
function AlongLane({ section, r }: { section: DrawnSection; r: number }) {
  const spine = section.spine ?? [];
  const leaf = Math.min(4.4, r * 0.34);
  return spine.slice(1, -1).map((point, i) => {
    const before = spine[i]!;
    const after = spine[i + 2]!;
    // Room for the number.
    if (Math.hypot(point.x - section.x, point.y - section.y) < 9) return null;
    const turn = (Math.atan2(after.y - before.y, after.x - before.x) * 180) / Math.PI;
    return (
      <ellipse
        key={i}
        cx={point.x}
        cy={point.y}
        rx={leaf * 0.7}
        ry={leaf * 1.4}
        transform={`rotate(${turn + 28} ${point.x} ${point.y})`}
      />
    );
  });
}

/** Says the technique without colour. */
export function Motif({
  section,
  kind,
  stroke,
}: {
  section: DrawnSection;
  kind: MotifKind | null;
  stroke: string;
}) {
  const r = section.clearRadius;
  if (!kind || r < MOTIF_ROOM) return null;
  return (
    <g className={styles.motif} stroke={stroke}>
      {section.spine ? (
        <AlongLane section={section} r={r} />
      ) : (
        MOTIFS[kind]({ x: section.x, y: section.y + r * 0.58, r, winding: section.winding })
      )}
    </g>
  );
}
