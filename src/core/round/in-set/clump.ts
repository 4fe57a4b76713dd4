import { coilHangs, drawCoil } from './coil';
import type { InSet } from './set-piece';

/** A smoothed slice: its own coils, side by side. */
export const clump: InSet = { hangs: coilHangs, draw: (piece, mesh) => drawCoil(piece, mesh, 3) };
