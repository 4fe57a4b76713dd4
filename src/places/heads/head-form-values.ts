import type { Condition } from '@/core/formats/brief';
import { DENSITY_PER_CM2, STRAND_UM } from '@/core/coefficients/hair';
import { perZone } from '@/core/hair/zone';
import type { HeadFormValues } from './head-form';
import type { loadHead } from './queries';

type LoadedHead = NonNullable<Awaited<ReturnType<typeof loadHead>>>['head'];

/** An empty form: usual hair, nothing measured. */
export const EMPTY_HEAD: HeadFormValues = {
  name: '',
  description: '',
  notes: '',
  allergies: '',
  skinTone: 'mahogany',
  hairTone: 'black',
  circumferenceCm: 56,
  densityFrom: 'feel',
  densityPerCm2: DENSITY_PER_CM2.medium,
  ponytailCircumferenceCm: null,
  strandDiameterUm: STRAND_UM.medium,
  naturalCoilDiameterMm: 8,
  shrinkagePercent: 60,
  porosity: 'medium',
  conditions: [],
  lengthCm: perZone(() => null),
};

/** A head as its form shows it. */
export function formValuesOf({ measurement: { head }, ...card }: LoadedHead): HeadFormValues {
  const length = head.stretchedLengthCm;
  return {
    name: card.name,
    description: card.description,
    notes: card.notes,
    allergies: card.allergies,
    skinTone: card.skinTone,
    hairTone: card.hairTone,
    circumferenceCm: head.circumferenceCm ?? 56,
    densityFrom: head.ponytailCircumferenceCm === undefined ? 'feel' : 'ponytail',
    densityPerCm2: head.densityPerCm2 ?? DENSITY_PER_CM2.medium,
    ponytailCircumferenceCm: head.ponytailCircumferenceCm ?? null,
    strandDiameterUm: head.strandDiameterUm ?? STRAND_UM.medium,
    naturalCoilDiameterMm: head.naturalCoilDiameterMm ?? 8,
    shrinkagePercent: Math.round((head.shrinkage ?? 0.5) * 100),
    porosity: head.porosity ?? 'medium',
    conditions: (head.conditions ?? []) as readonly Condition[],
    lengthCm: perZone((zone) => (typeof length === 'number' ? length : length[zone])),
  };
}
