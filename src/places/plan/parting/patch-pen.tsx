'use client';
import { useEffect, useState, type PointerEvent } from 'react';
import { chartAt, drawnX, drawnY, DRAWING } from '@/core/parting/drawn-layout';
import type { ChartPoint } from '@/core/sphere/crown-chart';
import { drawingPoint } from './drawing-point';
import styles from './hand-parting.module.css';

/** A pen that draws a loop on the crown map; Escape puts it down. */
export function PatchPen({
  turned,
  onDrawn,
  onCancel,
}: {
  turned: boolean;
  onDrawn: (points: readonly ChartPoint[]) => void;
  onCancel: () => void;
}) {
  const [points, setPoints] = useState<readonly ChartPoint[]>([]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => event.key === 'Escape' && onCancel();
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [onCancel]);
  const add = (event: PointerEvent<SVGRectElement>) => {
    const at = drawingPoint(event, turned);
    if (at) setPoints((before) => [...before, chartAt(at.x, at.y)]);
  };
  return (
    <>
      <rect
        className={styles.pen}
        data-pen
        width={DRAWING.width}
        height={DRAWING.height}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          add(event);
        }}
        onPointerMove={(event) => {
          if (event.currentTarget.hasPointerCapture(event.pointerId)) add(event);
        }}
        onPointerUp={() => onDrawn(points)}
        onPointerCancel={onCancel}
      />
      {points.length > 1 && (
        <polygon
          className={styles.loop}
          points={points.map((point) => `${drawnX(point)},${drawnY(point)}`).join(' ')}
        />
      )}
    </>
  );
}
