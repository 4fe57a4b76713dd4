'use client';
import type { PerZone } from '@/core/hair/zone';
import type { DrawnSection } from '@/core/parting/drawn-layout';
import { HeadThumb } from '@/ui/crown-map/head-thumb';
import { dryingState } from '@/ui/crown-map/section-state';

/** A drying head in small, each zone as wet as it is likely to be. */
export function DryingThumb({
  zones,
  ...head
}: {
  drawn: readonly DrawnSection[];
  zones: PerZone<number>;
  skin: string;
  hair: string;
}) {
  return <HeadThumb {...head} stateOf={(section) => dryingState(zones[section.zone])} />;
}
