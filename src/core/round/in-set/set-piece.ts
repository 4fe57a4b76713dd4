import type { HeadGrid } from '../head/head-grid';
import type { ScalpPlace } from '../head/scalp';
import type { Framed } from '../hair/curl-on-axis';
import type { RoundPen } from '../mesh';
import type { RoundSection } from '../model';
import type { Vec } from '../vec';

/** How far a section hangs from its base, and how thick it is there, cm. */
export interface Hanging {
  readonly lengthCm: number;
  readonly radiusCm: number;
}

/** One section in the set, with all that its drawing needs. */
export interface SetPiece {
  readonly section: RoundSection;
  /** Where it stands on the scalp. */
  readonly base: ScalpPlace;
  /** Where it hangs; null for what lies on the head. */
  readonly axis: Framed | null;
  readonly lengthCm: number;
  readonly hand: 1 | -1;
  readonly grid: HeadGrid;
  readonly scale: number;
  /** Which way it lies along the scalp: down, or back. */
  readonly falls: Vec;
  /** Chance of its own, 0 … 1. */
  readonly seed: number;
  /** Sides that its tubes may have: fewer where there are many sections. */
  readonly sides: number;
}

/** A way of drawing a set. */
export interface InSet {
  /** What hangs from the base; null where all of it lies on the head. */
  readonly hangs: (section: RoundSection) => Hanging | null;
  readonly draw: (piece: SetPiece, mesh: RoundPen) => void;
}
