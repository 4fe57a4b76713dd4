import { distanceAt } from '../head/head-grid';
import { add, unit, type Vec } from '../vec';
import type { RoundPen } from '../mesh';
import type { InSet, SetPiece } from './set-piece';
import { drawTool, drawWrap } from './wound-on';

/** How far a tool stands off the hair it lies on, cm. */
const OFF_CM = 0.15;
/** Of a tool's length, what lies ahead of the hair at the root. */
const AHEAD_CM = 0.8;
const TILTS = 14;

/**
 * Which way a straight tool lies from its base: the way hair falls, lifted just as far as the head under it wants.
 *
 * @returns its first and last point
 */
export function laid({ base, falls, grid }: SetPiece, lengthCm: number, radiusCm: number): [Vec, Vec] {
  const from = add(base.at, base.normal, radiusCm + OFF_CM);
  let d = falls;
  for (let k = 0; k < TILTS; k++) {
    d = unit(add(falls, base.normal, 0.08 * k));
    const isClear = [0.35, 0.7, 1].every((share) => {
      const [x, y, z] = add(from, d, share * lengthCm);
      return distanceAt(grid, x, y, z) >= radiusCm;
    });
    if (isClear) break;
  }
  return [add(from, d, -AHEAD_CM), add(from, d, lengthCm - AHEAD_CM)];
}

/** Draws hair of a section as it is wound along a path, from the root on. */
export function drawWound(piece: SetPiece, path: readonly Vec[], fromCm: number, mesh: RoundPen): void {
  const { section, hand, seed } = piece;
  const fit = section.form.fit!;
  const radiusCm = section.tool!.diameterMm / 20;
  const thicknessCm = Math.max(0.16, fit.bandThicknessMm / 10);
  const stepCm = 2 * Math.PI * (fit.radiusMm / 10) * Math.tan(fit.slopeRad);
  drawTool(path, radiusCm, section.tool!.diameterMm / 40, mesh);
  drawWrap(
    path,
    {
      radiusCm: radiusCm + thicknessCm / 2,
      stepCm: Math.max(0.3, stepCm),
      widthCm: Math.max(0.3, Math.min(fit.bandWidthMm / 10, 1.04 * stepCm)),
      thicknessCm,
      fromCm,
      lengthCm: Math.min(fit.axialMm, section.tool!.workingLengthMm) / 10,
      hand,
      seed,
    },
    mesh,
  );
}

/** A rigid rod of its true size, hair wound edge to edge along it. */
export const rod: InSet = {
  hangs: () => null,
  draw: (piece, mesh) => {
    const { tool, form } = piece.section;
    const lengthCm = tool!.workingLengthMm / 10 + 1.4;
    const thick = form.fit!.bandThicknessMm / 10;
    const path = laid(piece, lengthCm, tool!.diameterMm / 20 + thick);
    drawWound(piece, path, AHEAD_CM, mesh);
  },
};
