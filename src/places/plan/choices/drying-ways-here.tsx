'use client';
import { useEffect, useState } from 'react';
import type { DraftBrief } from '@/core/draft/draft-brief';
import type { DryingWay } from '@/core/plan/drying-ways';
import { DryingTable } from '../drying-table';

/** What each way to dry would take on this set, beside the steps that are chosen. */
export function DryingWaysHere({
  brief,
  ask,
}: {
  brief: DraftBrief;
  ask: (brief: DraftBrief) => Promise<readonly DryingWay[]>;
}) {
  const [ways, setWays] = useState<readonly DryingWay[]>([]);
  useEffect(() => {
    let isOver = false;
    void ask(brief).then((told) => {
      if (!isOver) setWays(told);
    });
    return () => {
      isOver = true;
    };
  }, [brief, ask]);
  return ways.length > 0 ? <DryingTable ways={ways} isTimed={brief.wearBy !== undefined} /> : null;
}
