import { CanvasTexture } from 'three';
import { DRAWING } from '@/core/parting/drawn-layout';
import type { RoundFacts } from '@/core/round/facts';
import { RADIUS_CM_PER_CIRCUMFERENCE_CM } from '@/core/sphere/crown-chart';

const SIZE = 2048;
/** The picture covers the chart so far from its middle, R. */
const REACH = 2;
/** Widths of lines between sections and of the worn part, cm. */
const PARTING_CM = 0.22;
const WORN_PART_CM = 0.26;
/** How soft the hairline is, cm. */
const SOFT_CM = 0.28;

/** What shows on the scalp: hair at its roots, the lines between sections in the set, the part that is worn. */
export function scalpPicture(
  { outlines, hairline, partPath }: RoundFacts,
  { hair, skin, inSet }: { readonly hair: string; readonly skin: string; readonly inSet: boolean },
): CanvasTexture {
  const canvas = document.createElement('canvas');
  canvas.width = SIZE;
  canvas.height = SIZE;
  const pen = canvas.getContext('2d')!;
  const unit = SIZE / (2 * REACH * 100);
  const cm = 100 / (RADIUS_CM_PER_CIRCUMFERENCE_CM * 56);
  const onChart = () =>
    pen.setTransform(unit, 0, 0, unit, SIZE / 2 - DRAWING.poleX * unit, SIZE / 2 - DRAWING.poleY * unit);
  pen.filter = `blur(${SOFT_CM * cm * unit}px)`;
  onChart();
  pen.fillStyle = hair;
  pen.fill(new Path2D(hairline));
  pen.filter = 'none';
  pen.lineCap = 'round';
  pen.strokeStyle = skin;
  if (inSet) {
    pen.save();
    // Not along the hairline: only what lies well within it.
    const within = new Path2D(hairline);
    pen.clip(within);
    pen.lineWidth = PARTING_CM * cm;
    for (const outline of outlines) pen.stroke(new Path2D(outline));
    pen.strokeStyle = hair;
    pen.lineWidth = PARTING_CM * cm * 2.6;
    pen.stroke(within);
    pen.restore();
  } else if (partPath) {
    pen.lineWidth = WORN_PART_CM * cm;
    pen.stroke(new Path2D(partPath));
  }
  const texture = new CanvasTexture(canvas);
  texture.colorSpace = 'srgb';
  texture.anisotropy = 4;
  return texture;
}
