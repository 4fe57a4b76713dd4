import { ZONE_LABEL } from '../hair/zone';
import { techniqueOf } from '../techniques';
import { toolKinds } from '../techniques/tool-kind';
import { groupedVerdicts, type ZoneVerdict } from '../plan/zone-verdicts';
import type { Caution, CautionContext } from './caution';

const troubled = (c: CautionContext): readonly ZoneVerdict[] =>
  c.came?.zones.filter((verdict) => verdict.problem !== null) ?? [];

/** Stretch from which nobody would call it a curl. */
const ALL_BUT_STRAIGHT = 0.85;

const sentence = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** Lengths that cannot carry what is planned, and tools that do not fit or are short. */
export const TOOL_CAUTIONS: readonly Caution[] = [
  {
    code: 'length-cannot-carry',
    severity: 'warn',
    shows: ['plan'],
    when: (c) => troubled(c).length > 0,
    text: (c) =>
      groupedVerdicts(troubled(c))
        .map(([first, ...more]) => {
          const where = [first, ...more].map((verdict) => ZONE_LABEL[verdict.zone]).join(', ');
          const instead = first.proposals[0] ? ` ${sentence(first.proposals[0].text)} would do.` : '';
          return `${sentence(where)}: ${first.problem?.text ?? ''}.${instead}`;
        })
        .join(' '),
  },
  {
    code: 'band-wide',
    severity: 'note',
    shows: ['plan'],
    when: (c) => (c.came?.fullestFit?.bandTooWide && !c.came.fullestFit.impossible) ?? false,
    text: () => 'The band of hair is wider than the rod, so your own pattern will show at the root.',
  },
  {
    code: 'hangs-straight',
    severity: 'note',
    shows: ['plan'],
    when: (c) => (c.came?.stretch ?? 0) > ALL_BUT_STRAIGHT,
    text: () =>
      'Hair this long and loose hangs nearly straight under its own weight. A smaller tool, smaller sections or more hold keep more of the curl.',
  },
  {
    code: 'tools-short',
    severity: 'warn',
    shows: ['plan'],
    when: (c) => c.came !== null && c.came.toolsOwned > 0 && c.came.toolsNeeded > c.came.toolsOwned,
    text: (c) => {
      const { tool } = c.brief.set;
      const noun = tool ? toolKinds[tool.kind].noun[1] : techniqueOf(c.brief.set.technique).noun[1];
      return `${c.came?.toolsNeeded} ${noun} wanted, ${c.came?.toolsOwned} owned.`;
    },
  },
]; // prettier-ignore
