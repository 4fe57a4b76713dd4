import { interpolate } from '../stats/interpolate';

/** What the row planner knows of the scalp: profiles along `t`, nape to face, in R. */
export interface RowProfile {
  /** Row-frame positions, ascending. */
  readonly t: readonly number[];
  /** Area behind each position, R². */
  readonly areaBehind: readonly number[];
  /** Length of the row line at each position, measured on the head, R. */
  readonly lineLength: readonly number[];
}

/** Cost of a row repeating the last count, by two, and of larger steps (parting-map §4.3, brick). */
const REPEAT = 0.3;
const STEP_OF_TWO = 0.1;
const STEP_SLOPE = 0.02;
/** A row is never planned longer than this many sections beyond an even square layout. */
const ROW_SLACK = 2.5;

/**
 * How many sections each row holds, back row first, so that sections come as near the wanted
 * width-to-height ratio as whole numbers allow and neighbouring rows break joint like bricks.
 *
 * @param count sections on the head, 2 to 600
 * @param aspect wanted width over height on the head, 1 for square
 * @source dynamic programming over row ends; costs of parting-map §4.3
 */
export function planBrickRows(profile: RowProfile, count: number, aspect: number): number[] {
  const total = profile.areaBehind[profile.areaBehind.length - 1]!;
  const each = total / count;
  const rowEnd = Array.from({ length: count + 1 }, (_, k) =>
    interpolate(profile.areaBehind, profile.t, k * each),
  );
  const widest = Math.max(...profile.lineLength);
  const most = Math.min(count, Math.ceil((ROW_SLACK * widest) / Math.sqrt(each * aspect)));

  const rowCost = (from: number, size: number) => {
    const [low, high] = [rowEnd[from]!, rowEnd[from + size]!];
    let length = 0;
    for (let i = 0; i < 5; i++) {
      length += interpolate(profile.t, profile.lineLength, low + ((i + 0.5) / 5) * (high - low)) / 5;
    }
    const width = length / size;
    const height = (size * each) / length;
    return size * (Math.log(width / height) - Math.log(aspect)) ** 2;
  };
  const stepCost = (size: number, last: number) => {
    const step = Math.abs(size - last);
    const repeat = step === 0 ? REPEAT : step === 2 ? STEP_OF_TWO : 0;
    return size * (repeat + STEP_SLOPE * (step - 1) ** 2);
  };

  // best[k][m]: lowest cost of rows that end after k sections, the last holding m; `before` is the row before it.
  const stride = most + 1;
  const best = new Float64Array((count + 1) * stride).fill(Infinity);
  const before = new Int16Array((count + 1) * stride);
  for (let end = 1; end <= count; end++) {
    for (let size = 1; size <= Math.min(most, end); size++) {
      const start = end - size;
      const own = rowCost(start, size);
      const at = end * stride + size;
      if (start === 0) {
        best[at] = own;
        continue;
      }
      for (let last = 1; last <= Math.min(most, start); last++) {
        const reached = best[start * stride + last]!;
        if (reached === Infinity) continue;
        const cost = reached + own + stepCost(size, last);
        if (cost < best[at]!) {
          best[at] = cost;
          before[at] = last;
        }
      }
    }
  }

  let size = 1;
  for (let m = 1; m <= most; m++) if (best[count * stride + m]! < best[count * stride + size]!) size = m;
  const rows: number[] = [];
  for (let end = count; end > 0;) {
    rows.unshift(size);
    const last = before[end * stride + size]!;
    end -= size;
    size = last;
  }
  return rows;
}
