'use client';
import { useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import type { Point } from '@/core/photo/picture';
import styles from './measure.module.css';

/** A finger this near to a point takes hold of it, px of the screen. */
const NEAR_PX = 26;
/** Further than this a press is a drag. */
const DRAG_PX = 12;

/**
 * A picture on which points are set: by a touch, by dragging from one to the next, or by keys. Points that stand can be
 * dragged.
 */
export function MeasurePad({
  src,
  width,
  height,
  points,
  most,
  zoom,
  name,
  children,
  onPoints,
}: {
  readonly src: string;
  readonly width: number;
  readonly height: number;
  readonly points: readonly Point[];
  /** Points beyond this many are not set. */
  readonly most: number;
  readonly zoom: number;
  /** What is to be set, for who hears it. */
  readonly name: string;
  /** What is drawn over the picture, in its pixels. */
  readonly children?: ReactNode;
  readonly onPoints: (points: readonly Point[]) => void;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const held = useRef<{ index: number; from: Point; isNew: boolean } | null>(null);
  const [cursor, setCursor] = useState<Point>([width / 2, height / 2]);
  const [isByKeys, setByKeys] = useState(false);
  const placeOf = (event: PointerEvent): { at: Point; pxOnScreen: number } => {
    const box = svg.current!.getBoundingClientRect();
    const scale = width / box.width;
    return {
      at: [(event.clientX - box.left) * scale, (event.clientY - box.top) * scale],
      pxOnScreen: scale,
    };
  };
  const within = ([x, y]: Point): Point => [
    Math.min(width - 1, Math.max(0, x)),
    Math.min(height - 1, Math.max(0, y)),
  ];
  const moveTo = (index: number, at: Point) =>
    onPoints(points.map((point, i) => (i === index ? within(at) : point)));
  const onDown = (event: PointerEvent<SVGSVGElement>) => {
    setByKeys(false);
    const { at, pxOnScreen } = placeOf(event);
    const near = points.findIndex(([x, y]) => Math.hypot(x - at[0], y - at[1]) < NEAR_PX * pxOnScreen);
    if (near < 0 && points.length >= most) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    held.current = { index: near < 0 ? points.length : near, from: at, isNew: near < 0 };
    if (near < 0) onPoints([...points, within(at)]);
  };
  const onMove = (event: PointerEvent<SVGSVGElement>) => {
    const now = held.current;
    if (!now) return;
    const { at, pxOnScreen } = placeOf(event);
    if (!now.isNew) {
      moveTo(now.index, at);
      return;
    }
    // Dragging on from a new point sets the next one.
    if (Math.hypot(at[0] - now.from[0], at[1] - now.from[1]) < DRAG_PX * pxOnScreen) return;
    if (now.index + 1 >= most) return;
    held.current = { index: now.index + 1, from: at, isNew: false };
    onPoints([...points, within(at)]);
  };
  const onKey = (event: KeyboardEvent<SVGSVGElement>) => {
    const step = event.shiftKey ? 1 : Math.max(4, width / 80);
    const moves: Readonly<Record<string, Point>> = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, -step],
      ArrowDown: [0, step],
    };
    const move = moves[event.key];
    if (move) {
      event.preventDefault();
      setByKeys(true);
      setCursor(([x, y]) => within([x + move[0], y + move[1]]));
    } else if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      if (points.length < most) onPoints([...points, cursor]);
    } else if (event.key === 'Backspace') {
      event.preventDefault();
      onPoints(points.slice(0, -1));
    }
  };
  return (
    <div className={styles.pad}>
      <svg
        ref={svg}
        viewBox={`0 0 ${width} ${height}`}
        style={{ width: `${100 * zoom}%` }}
        role="application"
        aria-label={`${name}. ${points.length} of ${most} set. Arrow keys move the cross, Enter sets a point, Backspace takes the last one back.`}
        tabIndex={0}
        onPointerDown={onDown}
        onPointerMove={onMove}
        onPointerUp={() => (held.current = null)}
        onPointerCancel={() => (held.current = null)}
        onKeyDown={onKey}
      >
        <image href={src} width={width} height={height} />
        {children}
        {points.map(([x, y], i) => (
          // Points have no identity but their order.
          <g key={i} className={styles.point} transform={`translate(${x} ${y}) scale(${width / 640 / zoom})`}>
            <circle r={11} />
            <path d="M-15 0h10M5 0h10M0 -15v10M0 5v10" />
          </g>
        ))}
        {isByKeys && (
          <path
            className={styles.cross}
            transform={`translate(${cursor[0]} ${cursor[1]}) scale(${width / 640 / zoom})`}
            d="M-22 0h44M0 -22v44"
          />
        )}
      </svg>
    </div>
  );
}
