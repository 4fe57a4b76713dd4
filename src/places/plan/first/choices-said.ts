import { nightCares } from '@/core/coefficients/night-care';
import { takedownHands } from '@/core/coefficients/takedown-hands';
import { prepSteps } from '@/core/coefficients/prep-steps';
import { endsMethods, rootMethods } from '@/core/coefficients/root-and-ends';
import { startStates } from '@/core/coefficients/start-states';
import { productRoles } from '@/core/products';
import { dryingMethods } from '@/core/drying-methods';
import { ZONE_LABEL, ZONES } from '@/core/hair/zone';
import type { Option } from '@/core/suggest/option';
import { techniqueOf } from '@/core/techniques';
import { capitalised, listed, plural } from '@/core/words/words';
import { formatHours } from '@/ui/format';
import type { WhyNot } from '@/core/suggest/why-not';

/** One choice of a draft as it is said. */
export interface ChoiceSaid {
  readonly about:
    'technique' | 'prep' | 'start' | 'layers' | 'sections' | 'root' | 'ends' | 'tool' | 'drying' | 'nights';
  readonly title: string;
  readonly answer: string;
  /** What can be asked about instead. */
  readonly asks: readonly WhyNot['kind'][];
}

/** Every choice of an option, in the order of the work. */
export function choicesOf({ brief, products }: Option): ChoiceSaid[] {
  const { set, wear, drying, prep } = brief;
  const technique = techniqueOf(set.technique);
  const instead = ZONES.flatMap((zone) => {
    const id = set.zones?.[zone]?.technique;
    return id ? [`${techniqueOf(id).noun[1]} at the ${ZONE_LABEL[zone]}`] : [];
  });
  const layers = (set.layers ?? []).map(
    ({ role }) => products[role] ?? productRoles[role].label.toLowerCase(),
  );
  const said = (
    about: ChoiceSaid['about'],
    title: string,
    answer: string,
    ...asks: WhyNot['kind'][]
  ): ChoiceSaid => ({
    about,
    title,
    answer,
    asks,
  });
  return [
    said('technique', 'Look', [technique.label, ...instead].join(', '), 'technique'),
    said(
      'prep',
      'Before',
      (prep ?? []).map(({ step }) => prepSteps[step].short.toLowerCase()).join(', then '),
    ),
    said('start', 'Start', startStates[set.startState ?? 'damp'].label, 'start'),
    said('layers', 'Layers', layers.length > 0 ? layers.join(' · ') : 'nothing', 'role'),
    said(
      'sections',
      'Sections',
      plural(set.sections ?? technique.usualSections, ...technique.noun),
      'sections',
    ),
    ...(technique.tool && set.tool
      ? [
          said(
            'tool',
            technique.tool === 'end-rod' ? 'Rods on the ends' : 'Tool',
            `${set.tool.diameterMm} mm, ${set.tool.owned} owned`,
            'tool',
          ),
        ]
      : []),
    said('root', 'Roots', rootMethods[set.rootMethod ?? 'plain'].label),
    said('ends', 'Ends', endsMethods[set.endsMethod ?? 'twisted'].label),
    said(
      'drying',
      'Drying',
      capitalised(
        (drying ?? [])
          .map(({ method, hours }) => `${formatHours(hours)} ${dryingMethods[method].phrase}`)
          .join(', then '),
      ),
    ),
    said(
      'nights',
      'Takedown and nights',
      capitalised(
        listed([
          takedownHands[wear?.hands ?? 'oiled'].label.toLowerCase(),
          wear?.separations === 1 ? 'left whole' : `split in ${wear?.separations}`,
          nightCares[wear?.night ?? 'gather-and-bonnet'].label.toLowerCase(),
        ]),
      ),
    ),
  ];
}
