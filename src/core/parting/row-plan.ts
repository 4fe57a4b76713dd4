import { interpolate } from '../stats/interpolate';

/** What the row planner knows of a panel: profiles along `t`, from the back, in R. */
export interface RowProfile {
  /** Row positions, ascending. */
  readonly t: readonly number[];
  /** Area behind each position, R². */
  readonly areaBehind: readonly number[];
  /** Load behind each position: what sections hold equal shares of. */
  readonly loadBehind: readonly number[];
  /** Length of the row line at each position, measured on the head, R. */
  readonly lineLength: readonly number[];
}

/** Cost for `size` sections beside a row of `last`, per section of the row. */
export type JointCost = (size: number, last: number) => number;

/**
 * Brick rows break joint: a row that repeats the last count costs, a step of one does not (parting-map §4.3).
 *
 * @example [4, 5, 6].map((last) => brickJoints(5, last)) // => [0, 0.32, 0]
 */
export const brickJoints: JointCost = (size, last) => {
  const step = Math.abs(size - last);
  return (step === 0 ? 0.3 : step === 2 ? 0.1 : 0) + 0.02 * (step - 1) ** 2;
};

/**
 * Plain rows keep their count where they can (parting-map §4.3, grid).
 *
 * @example alignedJoints(6, 4) // => 0.1
 */
export const alignedJoints: JointCost = (size, last) => 0.05 * Math.min(4, Math.abs(size - last));

/** A row is never planned longer than this many sections beyond an even square layout. */
const ROW_SLACK = 2.5;
/** A row never holds more than so many sections more or fewer than the one before: so large a step costs too much. */
const MOST_STEP = 10;
/** A row of an asked number holds at most so many times its even share. */
const ASKED_SLACK = 3;

/**
 * How many sections each row holds, back row first, so that sections come as near the wanted
 * width-to-height ratio as whole numbers allow.
 *
 * @param count sections in the panel, from 1
 * @param aspect wanted width over height on the head, 1 for square
 * @param rowCount rows that are asked for; as many as suit when left out, and never more than sections
 * @source dynamic programming over row ends; costs of parting-map §4.3
 */
export function planRows(
  profile: RowProfile,
  count: number,
  aspect: number,
  joint: JointCost,
  rowCount?: number,
): number[] {
  if (count === 1) return [1];
  const asked = rowCount === undefined ? null : Math.min(rowCount, count);
  const totalLoad = profile.loadBehind.at(-1)!;
  const each = totalLoad / count;
  const eachArea = profile.areaBehind.at(-1)! / count;
  const rowEnd = Array.from({ length: count + 1 }, (_, k) =>
    interpolate(profile.loadBehind, profile.t, k * each),
  );
  const areaAt = rowEnd.map((t) => interpolate(profile.t, profile.areaBehind, t));
  const widest = Math.max(...profile.lineLength);
  const most =
    asked === null
      ? Math.max(1, Math.min(count, Math.ceil((ROW_SLACK * widest) / Math.sqrt(eachArea * aspect))))
      : Math.min(count, ASKED_SLACK * Math.ceil(count / asked));

  const rowCost = (from: number, size: number) => {
    const [low, high] = [rowEnd[from]!, rowEnd[from + size]!];
    let length = 0;
    for (let i = 0; i < 5; i++) {
      length += interpolate(profile.t, profile.lineLength, low + ((i + 0.5) / 5) * (high - low)) / 5;
    }
    const width = length / size;
    const height = (areaAt[from + size]! - areaAt[from]!) / length;
    return size * (Math.log(width / height) - Math.log(aspect)) ** 2;
  };

  // best[r][k][m]: lowest cost of rows that end after k sections, the last holding m; `before` is the row before it.
  // Rows are only told apart where their number is asked for; else all of them share one layer.
  const stride = most + 1;
  const layers = asked ?? 1;
  const at = (layer: number, end: number, size: number) => (layer * (count + 1) + end) * stride + size;
  const best = new Float64Array(at(layers, 0, 0)).fill(Infinity);
  const before = new Int16Array(best.length);
  const layerBefore = (layer: number) => (asked === null ? layer : layer - 1);
  const jointOf = new Float64Array(stride * stride);
  for (let size = 1; size <= most; size++) {
    for (let last = 1; last <= most; last++) jointOf[size * stride + last] = size * joint(size, last);
  }
  for (let layer = 0; layer < layers; layer++) {
    for (let end = 1; end <= count; end++) {
      for (let size = 1; size <= Math.min(most, end); size++) {
        const start = end - size;
        const here = at(layer, end, size);
        if (start === 0) {
          if (layer === 0) best[here] = rowCost(start, size);
          continue;
        }
        const from = layerBefore(layer);
        if (from < 0) continue;
        const alone = rowCost(start, size);
        const longest = Math.min(most, start, size + MOST_STEP);
        for (let last = Math.max(1, size - MOST_STEP); last <= longest; last++) {
          const reached = best[at(from, start, last)]!;
          if (reached === Infinity) continue;
          const cost = reached + alone + jointOf[size * stride + last]!;
          if (cost < best[here]!) {
            best[here] = cost;
            before[here] = last;
          }
        }
      }
    }
  }

  let layer = layers - 1;
  let size = 1;
  for (let m = 1; m <= most; m++) if (best[at(layer, count, m)]! < best[at(layer, count, size)]!) size = m;
  const rows: number[] = [];
  for (let end = count; end > 0;) {
    rows.unshift(size);
    const last = before[at(layer, end, size)]!;
    end -= size;
    size = last;
    layer = layerBefore(layer);
  }
  return rows;
}
