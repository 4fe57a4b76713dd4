import type { PointerEvent } from 'react';
import { DRAWING } from '@/core/parting/drawn-layout';

/** Where a pointer is in the units of the drawing, face up; null while the drawing is not laid out. */
export function drawingPoint(
  event: PointerEvent<SVGElement>,
  turned: boolean,
): { x: number; y: number } | null {
  const toDrawing = event.currentTarget.ownerSVGElement?.getScreenCTM()?.inverse();
  if (!toDrawing) return null;
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(toDrawing);
  return turned ? { x: 2 * DRAWING.poleX - x, y: 2 * DRAWING.poleY - y } : { x, y };
}
