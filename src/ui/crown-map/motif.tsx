import { DRAWING, type DrawnSection } from '@/core/parting/drawn-layout';
import type { SectionMotif } from '@/core/draft/labels';
import { windingHand } from '@/core/parting/winding';
import styles from './crown-map.module.css';

/** Sections with less clear room than this show no motif. */
export const MOTIF_ROOM = 7.5;
const FIVE = [-2, -1, 0, 1, 2];

/** How far leaves of a rope lean to where it is wound, degrees. */
const LEAN_DEG = 28;
/** How dark the ropes of one are, one after the other. */
const SHADES = [0.6, 0, 0.25] as const;

interface Place extends Omit<SectionMotif, 'kind'> {
  readonly x: number;
  readonly y: number;
  readonly r: number;
  /** Which way round it is wound, as in the round: 1 rises to the right, −1 to the left. */
  readonly hand: 1 | -1;
  readonly stroke: string;
}

/** One leaf of a rope: as dark as its rope is told apart by; of a double twist with a line along it. */
function Leaf({
  index,
  cx,
  cy,
  rx,
  ry,
  turnDeg,
  ropes,
  isDouble,
  stroke,
}: Pick<Place, 'ropes' | 'isDouble' | 'stroke'> & {
  readonly index: number;
  readonly cx: number;
  readonly cy: number;
  readonly rx: number;
  readonly ry: number;
  readonly turnDeg: number;
}) {
  const shade = SHADES[((index % ropes) + ropes) % ropes] ?? 0;
  return (
    <g transform={`rotate(${turnDeg} ${cx} ${cy})`} data-rope={((index % ropes) + ropes) % ropes}>
      <ellipse cx={cx} cy={cy} rx={rx} ry={ry} />
      {shade > 0 && <ellipse cx={cx} cy={cy} rx={rx} ry={ry} fill={stroke} fillOpacity={shade} />}
      {isDouble && <path d={`M${cx} ${cy - 0.8 * ry}V${cy + 0.8 * ry}`} />}
    </g>
  );
}

/** Slanted leaves: ropes wound round each other. */
const rope = ({ x, y, r, hand, ...dress }: Place) => {
  const leaf = r * 0.17;
  return FIVE.map((i) => (
    <Leaf
      key={i}
      index={i}
      cx={x + i * leaf * 1.5}
      cy={y}
      rx={leaf * 0.62}
      ry={leaf * 1.25}
      turnDeg={hand * LEAN_DEG}
      {...dress}
    />
  ));
};

/** Leaves that lean to one side and the other: a plait. */
const plait = ({ x, y, r, hand, ...dress }: Place) => {
  const leaf = r * 0.17;
  return FIVE.map((i) => {
    const side = i % 2 === 0 ? hand : -hand;
    return (
      <Leaf
        key={i}
        index={i}
        cx={x + i * leaf * 1.35}
        cy={y + side * leaf * 0.45}
        rx={leaf * 0.6}
        ry={leaf * 1.1}
        turnDeg={side * 42}
        {...dress}
      />
    );
  });
};

/** A rounded bar with wraps. */
const rod = ({ x, y, r, hand }: Place) => {
  const half = r * 0.72;
  const thick = r * 0.17;
  return (
    <>
      <rect x={x - half} y={y - thick} width={2 * half} height={2 * thick} rx={thick} />
      {FIVE.map((i) => {
        const at = x + (i * half) / 2.9;
        // What rises to the right round an upright rod falls to the right round a level one.
        const lean = hand * thick * 0.5;
        return <path key={i} d={`M${at - lean} ${y - thick}L${at + lean} ${y + thick}`} />;
      })}
    </>
  );
};

/** A spiral of two turns: a knot or a former. */
const spiral = ({ x, y, r, hand }: Place) => {
  const size = r * 0.3;
  const points = Array.from({ length: 25 }, (_, i) => {
    const angle = (i / 24) * 4 * Math.PI;
    const radius = (size * (i + 3)) / 27;
    return `${(x + radius * Math.cos(angle)).toFixed(1)} ${(y - hand * radius * Math.sin(angle)).toFixed(1)}`;
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

const MOTIFS: Readonly<Record<SectionMotif['kind'], (place: Place) => React.ReactNode>> = {
  rope,
  plait,
  rod,
  spiral,
  coil,
};

/** Leaves all along a lane. */
function AlongLane({ section, r, hand, ...dress }: Place & { readonly section: DrawnSection }) {
  const spine = section.spine ?? [];
  const leaf = Math.min(4.4, r * 0.34);
  return spine.slice(1, -1).map((point, i) => {
    const before = spine[i]!;
    const after = spine[i + 2]!;
    // Room for the number.
    if (Math.hypot(point.x - section.x, point.y - section.y) < 9) return null;
    const turn = (Math.atan2(after.y - before.y, after.x - before.x) * 180) / Math.PI;
    return (
      <Leaf
        key={i}
        index={i}
        cx={point.x}
        cy={point.y}
        rx={leaf * 0.7}
        ry={leaf * 1.4}
        turnDeg={turn + hand * LEAN_DEG}
        {...dress}
      />
    );
  });
}

/** Says the technique without colour: as many ropes, wound the same way, as in the round. */
export function Motif({
  section,
  motif,
  stroke,
}: {
  section: DrawnSection;
  motif: SectionMotif | null;
  stroke: string;
}) {
  const { clearRadius: r, x, y, winding, spine } = section;
  if (!motif || r < MOTIF_ROOM) return null;
  const { kind, ...ropes } = motif;
  const place: Place = {
    ...ropes,
    x,
    y: y + r * 0.58,
    r,
    hand: windingHand(winding, x - DRAWING.poleX),
    stroke,
  };
  return (
    <g className={styles.motif} stroke={stroke}>
      {spine ? <AlongLane {...place} section={section} /> : MOTIFS[kind](place)}
    </g>
  );
}
