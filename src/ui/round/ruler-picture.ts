import { CanvasTexture } from 'three';
import type { Units } from '@/core/formats/display';
import { cmFromInches } from '@/core/units/length';

const PX_PER_CM = 46;

/** How large the ruler beside a head is. */
export const RULER = {
  widthCm: 2.4,
  /** From the top of the head down past the longest hair. */
  lengthCm: (lowestCm: number): number => Math.min(40, Math.max(15, Math.ceil(9 - lowestCm))),
} as const;

/** A ruler, its nought at the upper end. */
export function rulerPicture(lengthCm: number, units: Units): CanvasTexture {
  const canvas = document.createElement('canvas');
  canvas.width = RULER.widthCm * PX_PER_CM;
  canvas.height = lengthCm * PX_PER_CM;
  const pen = canvas.getContext('2d')!;
  pen.fillStyle = '#fffaf0';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.strokeStyle = '#2b1a14';
  pen.fillStyle = '#2b1a14';
  pen.lineWidth = 2;
  pen.strokeRect(1, 1, canvas.width - 2, canvas.height - 2);
  pen.font = '600 30px "Atkinson Hyperlegible Next", sans-serif';
  pen.textBaseline = 'middle';
  const stepCm = units.length === 'cm' ? 1 : cmFromInches(1);
  pen.fillText(units.length === 'cm' ? 'cm' : 'in', canvas.width - 52, 24);
  for (let i = 1; i * stepCm < lengthCm; i++) {
    const y = i * stepCm * PX_PER_CM;
    const isLong = units.length === 'in' || i % 5 === 0;
    pen.beginPath();
    pen.moveTo(0, y);
    pen.lineTo(isLong ? 36 : 18, y);
    pen.stroke();
    if (isLong) pen.fillText(String(i), 46, y);
  }
  const texture = new CanvasTexture(canvas);
  texture.colorSpace = 'srgb';
  return texture;
}
