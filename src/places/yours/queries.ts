import 'server-only';
import { NIGHT_CARE_IDS } from '@/core/coefficients/night-care';
import { wholeSetLabel } from '@/core/draft/labels';
import { clockOf, readDisplay } from '@/core/formats/read-display';
import { localMs } from '@/core/schedule/local-time';
import { careLines, tonightWords } from '@/core/take-home/care-lines';
import { openQuery } from '@/server/action';
import { linkToken } from '@/server/cookies';
import { linkBy, noteOpened } from '@/server/db/rows/client-links';
import { findHead } from '@/server/db/rows/heads';
import { findPlan } from '@/server/db/rows/plans';
import { findSet, setOfPlan } from '@/server/db/rows/sets';
import { settledView } from '@/server/forecast-cache';
import { knownPlan } from '@/server/learning';
import { digestOf } from '@/server/secrets';

/** What a link of a client opens: one plan, and how it wears; null where it opens nothing. */
export const loadYours = (linkId: string) =>
  openQuery(async ({ database, nowMs }) => {
    const { db, write } = database;
    const token = await linkToken();
    const found = token ? await linkBy(db, linkId, digestOf(token), nowMs) : null;
    if (!found || found.studio.asideAtMs !== null) return null;
    const { link, studio } = found;
    const written = await findPlan(db, studio.id, link.planId);
    const head = written && (await findHead(db, studio.id, written.headId));
    if (!written || !head) return null;
    await write((tx) => noteOpened(tx, studio.id, link, nowMs));
    const begun = await setOfPlan(db, studio.id, written.id);
    const set = begun && (await findSet(db, studio.id, begun.id).catch(() => null));
    const plan = await knownPlan(database, studio, written);
    const answer = set ? null : await settledView(plan);
    const forecast = set?.forecast ?? (answer?.ok ? answer.value.view.plan : null);
    const { brief } = set ?? plan;
    const cared = {
      technique: brief.set.technique,
      night: NIGHT_CARE_IDS.find((id) => id === brief.wear?.night) ?? ('gather-and-bonnet' as const),
      conditions: brief.head.conditions ?? [],
    };
    const clock = clockOf(studio);
    return {
      studio: studio.name,
      name: head.name,
      style: wholeSetLabel(brief.set),
      readyAtMs: brief.wearBy === undefined ? null : localMs(brief.wearBy, brief.timeZone ?? clock.timeZone),
      takenDownAtMs: set?.takenDownAtMs ?? null,
      installMin: set ? null : (forecast?.handsOn.installMin ?? null),
      days: forecast?.daysPresentable ?? null,
      tonight: tonightWords(cared),
      care: careLines(cared),
      diary: (set?.wearDays ?? []).map(({ day, half, ratings, note }) => ({ day, half, ratings, note })),
      untilMs: link.expiresAtMs,
      display: readDisplay(studio.display),
      clock,
    };
  });
