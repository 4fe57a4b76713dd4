import type { Clock, Units } from '@/core/formats/display';
import {
  followedSchool,
  SCHOOL_QUESTION_IDS,
  schoolQuestion,
  type ChosenSchools,
} from '@/core/schools/schools';
import { endsMethods, rootMethods } from '@/core/coefficients/root-and-ends';
import { nightCares } from '@/core/coefficients/night-care';
import { takedownHands } from '@/core/coefficients/takedown-hands';
import { startStates } from '@/core/coefficients/start-states';
import { readBrief } from '@/core/formats/read-brief';
import type { Zone } from '@/core/hair/zone';
import { afterWords, inHandWords, windingWords, workedWords, placesOnly } from '@/core/plan/how-words';
import { QUADRANT_LABEL } from '@/core/parting/quadrant';
import { WINDING_WORDS, type Winding } from '@/core/parting/winding';
import type { AnsweredView } from '@/core/plan/answer-view';
import { sectionsToFeel } from '@/core/plan/sections-to-feel';
import { inHands } from '@/core/products/dose';
import { handUnits as handUnitTable, type WeighedUnits } from '@/core/products/hand-units';
import { productRoles } from '@/core/products';
import { allergyMatches } from '@/core/shelf/allergy';
import type { FlowBlock, FlowLine } from '@/core/sheet/flow';
import { techniqueOf } from '@/core/techniques';
import { toolKinds, type ToolKindId } from '@/core/techniques/tool-kind';
import {
  formatArea,
  formatChance,
  formatClock,
  formatDay,
  formatDiameter,
  formatHands,
  formatHours,
  formatLocalTime,
  formatMass,
  formatMinutes,
} from '@/ui/format';
import { learntWords } from '@/ui/known/known-of-her';
import { blockLabel } from '@/ui/ribbon/block-label';
import { dryLine, dryWords, sureUnderWords } from '../dry-words';
import { layerName, takenProducts } from '@/core/draft/shelf-choices';
import { partingWords, wholeSetLabel } from '@/core/draft/labels';
import type { DraftBrief, PlanContent, ShelfProduct } from '@/core/draft/draft-brief';
import { capitalised, listed, plural } from '@/core/words/words';

/** What a sheet is made of. */
export interface SheetSource {
  readonly content: PlanContent;
  readonly answer: AnsweredView;
  readonly head: { readonly name: string; readonly description: string; readonly allergies: string };
  readonly schools: ChosenSchools;
  readonly products: readonly ShelfProduct[];
  readonly handUnits: WeighedUnits;
  readonly units: Units;
  readonly clock: Clock;
  readonly printedAtMs: number;
}

/** The words of a sheet, in the order they matter. */
export interface SheetWords {
  readonly title: string;
  readonly head: string;
  readonly readyBy: string;
  readonly mind: string;
  readonly caption: string;
  readonly blocks: readonly FlowBlock[];
  /** Left out first where a page is full. */
  readonly notes: FlowBlock;
  readonly footer: string;
}

/** Sections in the order of the work, as runs of numbers through each quarter of the head. */
function orderLines({ view }: AnsweredView): FlowLine[] {
  const runs: { quadrant: keyof typeof QUADRANT_LABEL; from: number; to: number }[] = [];
  view.quadrants.forEach((quadrant, i) => {
    const last = runs.at(-1);
    if (last?.quadrant === quadrant) runs[runs.length - 1] = { ...last, to: i + 1 };
    else runs.push({ quadrant, from: i + 1, to: i + 1 });
  });
  const numbers = new Map<string, string[]>();
  for (const { quadrant, from, to } of runs) {
    const inQuadrant = numbers.get(quadrant) ?? [];
    inQuadrant.push(from === to ? String(from) : `${from}–${to}`);
    numbers.set(quadrant, inQuadrant);
  }
  const mist = view.plan.drying.waiting;
  return [...numbers].map(([quadrant, inQuadrant]) => {
    const at = mist.find((waiting) => waiting.quadrant === quadrant)?.mistAtMin[0];
    return {
      text: `${capitalised(QUADRANT_LABEL[quadrant as keyof typeof QUADRANT_LABEL])}: ${inQuadrant.join(', ')}${at === undefined ? '' : `; mist after ${formatMinutes(at)}`}`,
    };
  });
}

/** Sections that take another size than their zone, and those wound another way than the rest of the map shows at a glance. */
function ownToolLines({ view, recipe }: AnsweredView, brief: DraftBrief, units: Units): FlowLine[] {
  const usual = (zone: Zone) => brief.set.zones?.[zone]?.tool ?? brief.set.tool ?? null;
  const bySize = new Map<number, number[]>();
  for (const { number, zone, toolDiameterMm } of view.plan.sections)
    if (toolDiameterMm && toolDiameterMm !== usual(zone)?.diameterMm)
      bySize.set(toolDiameterMm, [...(bySize.get(toolDiameterMm) ?? []), number]);
  const ownWay = new Map<Winding, number[]>();
  const isMarked = Object.values(recipe.marks).some((mark) => mark.direction !== undefined);
  if (isMarked)
    for (const { number, winding } of view.plan.sections)
      if (winding) ownWay.set(winding, [...(ownWay.get(winding) ?? []), number]);
  return [
    ...[...bySize].map(([mm, numbers]) => ({
      text: `Section${numbers.length === 1 ? '' : 's'} ${listed(numbers)}: ${formatDiameter(mm, units)}`,
    })),
    ...[...ownWay].map(([winding, numbers]) => ({
      text: `Wound ${WINDING_WORDS[winding]}: ${listed(numbers)}`,
    })),
  ];
}

/** Everything a sheet says, from a plan and what comes of it. */
export function sheetWords(source: SheetSource): SheetWords {
  const { content, answer, head, schools, products, units, clock } = source;
  const { brief } = content;
  const { view, evenness } = answer;
  const read = readBrief(brief);
  const { plan } = view;
  const technique = techniqueOf(brief.set.technique);
  const root = brief.set.rootMethod ?? technique.rootMethods[0];
  const ends = brief.set.endsMethod ?? technique.endsMethods[0];
  const setLabel = wholeSetLabel({ ...brief.set, sections: brief.set.sections ?? plan.sections.length });
  const areas = plan.sections.map(({ areaCm2 }) => areaCm2);
  const hairs = plan.sections.map(({ hairCount }) => hairCount);
  const range = (values: readonly number[], words: (value: number) => string) => {
    const [low, high] = [words(Math.min(...values)), words(Math.max(...values))];
    return low === high ? low : `${low} to ${high}`;
  };
  const { chanceDryAtWearBy, sureUnder } = plan.drying;
  const feel = sectionsToFeel(view.dryTimes, answer.drawn);
  const night = brief.wear?.night ?? 'gather-and-bonnet';
  const followed = SCHOOL_QUESTION_IDS.flatMap((id): FlowLine[] => {
    const { label, schools: all, only } = schoolQuestion(id);
    const school = followedSchool(id, brief, schools);
    // What the plan itself decides stands in its own place; only what hands must remember is told.
    if (!school || all[school]!.isOf || (only && !only.includes(brief.set.technique))) return [];
    return [{ text: `${label}: ${all[school]!.label.toLowerCase()}` }];
  });
  const known = (...topics: Parameters<typeof learntWords>[1][]): FlowLine[] =>
    topics.flatMap((topic) => {
      const text = learntWords(plan, topic);
      return text ? [{ text }] : [];
    });
  const cautions = plan.cautions.map(({ text, turnTo, severity }) => ({
    line: { text: `${text}${turnTo ? ` Ask ${turnTo}.` : ''}` },
    severity,
  }));
  const warned = allergyMatches(head.allergies, takenProducts(content, products));
  let day = '';
  const times = view.blocks.map((block): FlowLine => {
    const blockDay = formatDay(block.startMs, clock);
    const isNew = blockDay !== day;
    day = blockDay;
    const lasts = (block.endMs - block.startMs) / 60_000;
    return {
      text: `${isNew ? `${blockDay} ` : ''}${formatClock(block.startMs, clock)}  ${blockLabel(block, setLabel)}`,
      end: lasts >= 100 ? formatHours(lasts / 60) : formatMinutes(lasts),
    };
  });
  return {
    title: content.title,
    head: [head.name, head.description].filter(Boolean).join(', '),
    readyBy: brief.wearBy ? `Ready by ${formatLocalTime(brief.wearBy, clock)}` : 'No time set',
    mind: head.allergies ? `Mind: ${head.allergies}` : '',
    caption: [
      setLabel,
      `${range(areas, (cm2) => formatArea(cm2, units))} each`,
      `about ${range(hairs, (count) => (Math.round(count / 100) * 100).toLocaleString('en-GB'))} hairs`,
      `even to ${Math.max(1, Math.round(evenness.loadCv * 100))} %`,
      ...partingWords(brief.parting ?? {}),
      formatDay(source.printedAtMs, clock),
    ].join(', '),
    blocks: [
      {
        title: 'The set',
        lines: [
          {
            text:
              technique.styleName.toLowerCase() === technique.label.toLowerCase()
                ? technique.label
                : `${technique.label}, for a ${technique.styleName}`,
          },
          { text: capitalised(`${rootMethods[root].phrase}, ${endsMethods[ends].phrase}`) },
          ...(read.ok ? [...workedWords(read.value, brief.set.technique), windingWords(read.value)] : [])
            .filter(Boolean)
            .map((text) => ({ text })),
          { text: `Start: ${startStates[brief.set.startState ?? 'damp'].label.toLowerCase()}` },
          ...((brief.set.blotted ?? true) ? [{ text: 'Blotted with a towel after product' }] : []),
          ...(brief.set.brushedThrough ? [{ text: 'Brushed through after product' }] : []),
        ],
      },
      {
        title: 'Layers, in order',
        lines: [
          ...plan.doses.flatMap((dose, i): FlowLine[] => {
            const layer = brief.set.layers?.[i];
            if (!layer) return [];
            const hands = inHands(layer.role, dose.grams, source.handUnits);
            return [
              {
                text: `${i + 1}. ${layerName(layer, content.layerProductIds[i] ?? null, products)}`,
                end: formatMass(dose.grams, units),
                face: 'bold',
              },
              {
                text: `${productRoles[layer.role].label.toLowerCase()}${placesOnly(layer) && `, ${placesOnly(layer)}`}, ${formatHands(hands.amount, handUnitTable[hands.unit].noun)}; ${formatMass(dose.gramsPerSection, units)} a section`,
              },
            ];
          }),
          ...(read.ok ? inHandWords(read.value.set.layers).map((text) => ({ text })) : []),
        ],
      },
      {
        title: 'Tools',
        lines: [
          ...plan.tools.map(({ kind, diameterMm, needed }) => ({
            text: `${formatDiameter(diameterMm, units)} ${toolKinds[kind as ToolKindId]?.noun[1] ?? kind}`,
            end: String(needed),
          })),
          ...ownToolLines(answer, brief, units),
        ],
      },
      { title: 'Times', lines: times },
      {
        title: 'Dry to the root',
        lines: [
          {
            text: dryLine(dryWords(view, clock)),
            face: 'bold',
          },
          ...(chanceDryAtWearBy === null
            ? []
            : [{ text: `${formatChance(chanceDryAtWearBy)} sure to be dry at takedown` }]),
          ...(sureUnder ? [{ text: sureUnderWords(sureUnder) }] : []),
          ...known('dry'),
          { text: `Feel ${feel.join(', ')} first, at the root` },
        ],
      },
      {
        title: 'Order of work',
        lines: [{ text: 'By number, row by row from the nape. Clip away:' }, ...orderLines(answer)],
      },
      {
        title: 'Takedown and nights',
        lines: [
          {
            text: `${takedownHands[brief.wear?.hands ?? 'oiled'].label}, ends first; each ${technique.noun[0]} in ${plural(brief.wear?.separations ?? 2, 'piece')}`,
          },
          ...(read.ok && afterWords(read.value) ? [{ text: afterWords(read.value) }] : []),
          { text: `At night: ${nightCares[night].label.toLowerCase()}` },
        ],
      },
      {
        title: 'On this head',
        lines: [
          ...(brief.note ? [{ text: brief.note, face: 'bold' as const }] : []),
          ...followed,
          ...known('days', 'definition', 'shows', 'handsOn'),
        ],
      },
      {
        title: 'Mind',
        lines: [
          ...warned.map(({ product, word }): FlowLine => ({
            text: `${product} lists ${word}, which this head’s card warns of. Take another, or patch-test and ask.`,
            face: 'bold',
          })),
          ...cautions.filter(({ severity }) => severity !== 'note').map(({ line }) => line),
        ],
      },
    ],
    notes: {
      title: 'Also',
      lines: cautions.filter(({ severity }) => severity === 'note').map(({ line }) => line),
    },
    footer: 'A forecast, not a promise. It does not replace a licence, a local code or medical advice.',
  };
}
