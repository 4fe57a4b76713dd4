import type { Condition } from '@/core/formats/brief';
import { USUAL_HEAD } from '@/core/formats/ranges';
import { KNOWABLE } from '@/core/hair/head';
import { perZone } from '@/core/hair/zone';
import type { HeadFormValues } from './head-input';
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
  circumferenceCm: USUAL_HEAD.circumferenceCm,
  densityFrom: 'feel',
  densityPerCm2: USUAL_HEAD.densityPerCm2,
  ponytailCircumferenceCm: null,
  strandDiameterUm: USUAL_HEAD.strandDiameterUm,
  naturalCoilDiameterMm: USUAL_HEAD.naturalCoilDiameterMm,
  shrinkagePercent: 60,
  porosity: USUAL_HEAD.porosity,
  conditions: [],
  zoneCoilMm: {},
  notKnown: [],
  likes: [],
  lengthCm: perZone(() => null),
};

/** The same where it is looked at step by step: nothing is known that was not answered. */
export const UNKNOWN_HEAD: HeadFormValues = { ...EMPTY_HEAD, notKnown: [...KNOWABLE] };

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
    circumferenceCm: head.circumferenceCm ?? USUAL_HEAD.circumferenceCm,
    densityFrom: head.ponytailCircumferenceCm === undefined ? 'feel' : 'ponytail',
    densityPerCm2: head.densityPerCm2 ?? USUAL_HEAD.densityPerCm2,
    ponytailCircumferenceCm: head.ponytailCircumferenceCm ?? null,
    strandDiameterUm: head.strandDiameterUm ?? USUAL_HEAD.strandDiameterUm,
    naturalCoilDiameterMm: head.naturalCoilDiameterMm ?? USUAL_HEAD.naturalCoilDiameterMm,
    shrinkagePercent: Math.round((head.shrinkage ?? USUAL_HEAD.shrinkage) * 100),
    porosity: head.porosity ?? USUAL_HEAD.porosity,
    conditions: (head.conditions ?? []) as Condition[],
    zoneCoilMm: head.zoneCoilMm ?? {},
    notKnown: [...(head.notKnown ?? [])],
    likes: card.likes,
    lengthCm: perZone((zone) => (typeof length === 'number' ? length : length[zone])),
  };
}
