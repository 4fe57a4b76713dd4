/** Drawing units for one millimetre: everything on a card is at one scale. */
export const UNITS_PER_MM = 2.8;

interface CoilProps {
  readonly diameterMm: number;
  readonly x: number;
  readonly top: number;
  readonly height: number;
  readonly hair: string;
  readonly ground: string;
}

/** How steep a coil hangs: rise of a turn over its width. */
const PITCH_SHARE = 0.62;
const THINNEST = 2.2;

/** One coil hanging: a ribbon on a tube, what lies behind it drawn first and thinner. */
export function Coil({ diameterMm, x, top, height, hair, ground }: CoilProps) {
  const radius = (diameterMm * UNITS_PER_MM) / 2;
  const pitch = Math.max(5, 2 * radius * PITCH_SHARE);
  const turns = Math.max(2, Math.floor(height / pitch));
  const width = Math.min(9, Math.max(THINNEST, pitch * 0.42));
  const step = height / turns;
  const arc = (turn: number, isFront: boolean) => {
    const y = top + turn * step;
    const [from, to] = isFront ? [-radius, radius] : [radius, -radius];
    const [start, end] = isFront ? [y, y + step / 2] : [y + step / 2, y + step];
    const bend = radius * 0.56 * (isFront ? 1 : -1);
    return `M${x + from} ${start}C${x + from} ${start + Math.abs(bend)} ${x + to} ${end + Math.abs(bend) * 0.4} ${x + to} ${end}`;
  };
  const each = Array.from({ length: turns }, (_, i) => i);
  return (
    <g fill="none" strokeLinecap="round">
      {each.map((i) => (
        <path key={`b${i}`} d={arc(i, false)} stroke={hair} strokeWidth={width * 0.6} opacity="0.55" />
      ))}
      {each.map((i) => (
        <g key={`f${i}`}>
          <path d={arc(i, true)} stroke={ground} strokeWidth={width + 2.4} />
          <path d={arc(i, true)} stroke={hair} strokeWidth={width} />
          <path d={arc(i, true)} stroke={ground} strokeWidth={width * 0.14} opacity="0.6" />
        </g>
      ))}
    </g>
  );
}
