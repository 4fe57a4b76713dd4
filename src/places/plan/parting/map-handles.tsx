'use client';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { chartAt, drawnX, drawnY } from '@/core/parting/drawn-layout';
import type { Handle } from '@/core/parting/edits/handles';
import { sphereDistance, type ChartPoint } from '@/core/sphere/crown-chart';
import styles from './hand-parting.module.css';
import { drawingPoint } from './drawing-point';
import type { HandParting } from './use-hand-parting';

/** A press of an arrow, and one with Shift, moves a line this far, cm. */
const STEP_CM = 0.25;
const LONG_STEP_CM = 1;

const nameOf = (handle: Handle): string => {
  switch (handle.kind) {
    case 'part':
      return `Part, point ${handle.point + 1}`;
    case 'row-line':
      return `Line in front of row ${handle.line}`;
    case 'cut':
      return `Cut ${handle.cut + 1} of row ${handle.row + 1}`;
  }
};

const idOf = (handle: Handle): string =>
  handle.kind === 'part'
    ? `part-${handle.point}`
    : handle.kind === 'row-line'
      ? `line-${handle.panel}-${handle.line}`
      : `cut-${handle.panel}-${handle.row}-${handle.cut}`;

/** Handles on the lines of a parting: dragged, or moved with the arrow keys. */
export function MapHandles({
  hand,
  turned,
  radiusCm,
}: {
  hand: HandParting;
  turned: boolean;
  /** Centimetres of one R of the chart. */
  radiusCm: number;
}) {
  // A hand moves faster than a screen is drawn: only the last place of each frame counts.
  const frame = useRef<number | null>(null);
  const latest = useRef<ChartPoint | null>(null);
  const dragInFrame = (handle: Handle, to: ChartPoint) => {
    latest.current = to;
    frame.current ??= requestAnimationFrame(() => {
      frame.current = null;
      if (latest.current) hand.drag(handle, latest.current);
    });
  };
  const drop = (handle: Handle) => {
    if (frame.current !== null) cancelAnimationFrame(frame.current);
    frame.current = null;
    if (latest.current) hand.drop(handle, latest.current);
    latest.current = null;
  };
  const placeOf = (event: PointerEvent<SVGGElement>) => {
    const at = drawingPoint(event, turned);
    return at && chartAt(at.x, at.y);
  };
  const onKeyDown = (event: KeyboardEvent, handle: Handle) => {
    const isAlong = handle.kind === 'row-line';
    const [less, more] = isAlong ? ['ArrowDown', 'ArrowUp'] : ['ArrowLeft', 'ArrowRight'];
    if (event.key !== less && event.key !== more) return;
    event.preventDefault();
    const direction = (event.key === more ? 1 : -1) * (turned ? -1 : 1);
    hand.nudge(handle, direction * (event.shiftKey ? LONG_STEP_CM : STEP_CM));
  };
  return hand.handles.map((handle) => {
    const fromMiddle = handle.kind === 'row-line' ? { x: handle.at.x, y: 0 } : { x: 0, y: handle.at.y };
    const along = handle.kind === 'row-line' ? handle.at.y : handle.at.x;
    const cm = Math.sign(along) * sphereDistance(handle.at, fromMiddle) * radiusCm;
    const toward =
      handle.kind === 'row-line'
        ? cm < 0
          ? 'behind the crown centre'
          : 'before the crown centre'
        : cm < 0
          ? 'left of the middle'
          : 'right of the middle';
    return (
      <g
        key={idOf(handle)}
        role="slider"
        tabIndex={0}
        className={styles.handle}
        data-kind={handle.kind}
        data-handle={idOf(handle)}
        aria-label={nameOf(handle)}
        aria-orientation={handle.kind === 'row-line' ? 'vertical' : 'horizontal'}
        aria-valuenow={Math.round(cm * 10) / 10}
        aria-valuemin={-20}
        aria-valuemax={20}
        aria-valuetext={`${Math.abs(cm).toFixed(1)} cm ${toward}`}
        onKeyDown={(event) => onKeyDown(event, handle)}
        onPointerDown={(event) => {
          event.preventDefault();
          event.currentTarget.setPointerCapture(event.pointerId);
        }}
        onPointerMove={(event) => {
          if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
          const to = placeOf(event);
          if (to) dragInFrame(handle, to);
        }}
        onPointerUp={() => drop(handle)}
        onPointerCancel={() => drop(handle)}
      >
        <circle cx={drawnX(handle.at)} cy={drawnY(handle.at)} r="11" className={styles.reach} />
        <circle cx={drawnX(handle.at)} cy={drawnY(handle.at)} r="5" className={styles.knob} />
      </g>
    );
  });
}
