import { thresholds } from '../coefficients/thresholds';
import { ZONE_LABEL } from '../hair/zone';
import { toolShortWords } from '../techniques/tool-kind';
import { groupedVerdicts, type ZoneVerdict } from '../techniques/zone-verdict';
import { capitalised } from '../words/words';
import type { Caution, CautionContext } from './caution';

const troubled = (c: CautionContext): readonly ZoneVerdict[] =>
  c.facts?.zones.filter((verdict) => verdict.problem !== null) ?? [];

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
          const instead = first.proposals[0] ? ` ${capitalised(first.proposals[0].text)} would do.` : '';
          return `${capitalised(where)}: ${first.problem?.text ?? ''}.${instead}`;
        })
        .join(' '),
  },
  {
    code: 'band-wide',
    severity: 'note',
    shows: ['plan'],
    when: (c) => (c.facts?.fullestFit?.bandTooWide && !c.facts.fullestFit.impossible) ?? false,
    text: () => 'The band of hair is wider than the rod, so your own pattern will show at the root.',
  },
  {
    code: 'hangs-straight',
    severity: 'note',
    shows: ['plan'],
    when: (c) => (c.facts?.stretch ?? 0) > thresholds.value.allButStraight,
    text: () =>
      'Hair this long and loose hangs nearly straight under its own weight. A smaller tool, smaller sections or more hold keep more of the curl.',
  },
  {
    code: 'tools-short',
    severity: 'warn',
    shows: ['plan'],
    when: (c) => (c.facts?.toolsShort.length ?? 0) > 0,
    text: (c) =>
      (c.facts?.toolsShort ?? []).map((short) => toolShortWords(short, `${short.diameterMm} mm`)).join(' '),
  },
]; // prettier-ignore
