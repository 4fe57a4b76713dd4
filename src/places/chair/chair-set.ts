import type { DrynessCheck } from '@/core/drying/dryness-checks';
import type { Why } from '@/core/explain/why-of';
import type { PerZone, Zone } from '@/core/hair/zone';
import type { RunEvent } from '@/core/run/run-state';
import type { TechniqueId } from '@/core/techniques';
import type { useRunLog } from './use-run-log';
import type { ForecastView } from '@/core/plan/forecast-view';
import type { DrawnSection } from '@/core/parting/drawn-layout';

/** A check as it is kept: the time of day instead of hours after the set. */
export type CheckRow = Omit<DrynessCheck, 'afterH'> & { readonly id: string; readonly atMs: number };

/** A set as the chair needs it. */
export interface ChairSet {
  readonly id: string;
  readonly headName: string;
  readonly skinTone: string;
  readonly hairTone: string;
  readonly technique: TechniqueId;
  /** What to do with a section, by its zone. */
  readonly setupLines: PerZone<readonly string[]>;
  readonly startedAtMs: number;
  readonly wearByMs: number | null;
  readonly sectionCount: number;
  readonly zoneOf: Readonly<Record<number, Zone>>;
  /** What to mind while it goes in, and while it dries. */
  readonly cautions: Readonly<Record<'setting' | 'drying', readonly string[]>>;
  /** What pushed the forecast of the set when it was begun. */
  readonly why: Readonly<Record<'handsOn' | 'dry', Why | null>>;
  readonly events: readonly RunEvent[];
  readonly checks: readonly CheckRow[];
}

/** What both views of the chair are given. */
export interface ChairViewProps {
  readonly set: ChairSet;
  readonly view: ForecastView;
  readonly drawn: readonly DrawnSection[];
  readonly timeZone: string;
  readonly nowMs: number;
  readonly log: ReturnType<typeof useRunLog>;
  readonly isDialogOpen: boolean;
  readonly onDialog: (dialog: 'note' | 'keys') => void;
}
