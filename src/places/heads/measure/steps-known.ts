import { DENSITY_PER_CM2, POROSITY, STRAND_UM } from '@/core/coefficients/hair';
import { WANT_LABEL } from '@/core/coefficients/wants';
import type { Units } from '@/core/formats/display';
import type { Knowable } from '@/core/hair/head';
import { ZONE_LABEL, ZONES } from '@/core/hair/zone';
import { listed } from '@/core/words/words';
import { formatLength } from '@/ui/format';
import { CONDITION_LABEL } from '../condition-labels';
import type { HeadFormValues } from '../head-input';
import { DENSITY_WORDS, nearestLevel } from '../level-words';
import { coilWords } from './things';

/** One question of the way through a head, in the order hands do it. */
export const MEASURE_STEPS = [
  { id: 'who', title: 'Who it is' },
  { id: 'length', title: 'Length, pulled straight' },
  { id: 'hangs', title: 'Length as it hangs' },
  { id: 'coil', title: 'Own coil' },
  { id: 'strand', title: 'One strand' },
  { id: 'dense', title: 'How dense' },
  { id: 'drinks', title: 'How it drinks' },
  { id: 'been', title: 'What it has been through' },
  { id: 'differs', title: 'Where it differs' },
  { id: 'scalp', title: 'Scalp' },
  { id: 'reacts', title: 'What she reacts to' },
  { id: 'likes', title: 'What she likes' },
] as const;
export type MeasureStepId = (typeof MEASURE_STEPS)[number]['id'];

/** The field that a step measures; none where it is noted and not measured. */
export const FIELD_OF: Partial<Readonly<Record<MeasureStepId, Knowable>>> = {
  length: 'stretchedLengthCm',
  hangs: 'shrinkage',
  coil: 'naturalCoilDiameterMm',
  strand: 'strandDiameterUm',
  dense: 'densityPerCm2',
  drinks: 'porosity',
};

/** The step that measures a field. */
export const stepOf = (field: string): MeasureStepId | null =>
  MEASURE_STEPS.find(({ id }) => FIELD_OF[id] === field)?.id ?? null;

const SCALP = ['sore-scalp', 'flaking-scalp'] as const;
export const isScalp = (condition: string): boolean => (SCALP as readonly string[]).includes(condition);
/** What hair has been through, and how it is cut; what concerns the scalp and who it is asked elsewhere. */
export const BEEN = ['bleached', 'coloured', 'heat-damaged', 'transitioning', 'due-a-trim', 'blunt-trim', 'tapered-cut'] as const; // prettier-ignore

/** What is known in a step, in a few words; null while nothing is. */
export function knownWords(id: MeasureStepId, form: HeadFormValues, units: Units): string | null {
  const field = FIELD_OF[id];
  if (field && form.notKnown.includes(field)) return null;
  switch (id) {
    case 'who':
      return form.name || null;
    case 'length': {
      const cm = ZONES.flatMap((zone) => form.lengthCm[zone] ?? []);
      if (cm.length === 0) return null;
      const [low, high] = [Math.min(...cm), Math.max(...cm)];
      return low === high
        ? formatLength(low, units)
        : `${formatLength(low, units)} to ${formatLength(high, units)}`;
    }
    case 'hangs':
      return `draws up by ${Math.round(form.shrinkagePercent)} in 100`;
    case 'coil':
      return coilWords(form.naturalCoilDiameterMm);
    case 'strand':
      return nearestLevel(STRAND_UM, form.strandDiameterUm);
    case 'dense':
      return form.densityFrom === 'ponytail'
        ? 'by the ponytail'
        : DENSITY_WORDS[nearestLevel(DENSITY_PER_CM2, form.densityPerCm2)];
    case 'drinks':
      return `${POROSITY[form.porosity].label} porosity`;
    case 'been': {
      const been = form.conditions.filter((condition) => (BEEN as readonly string[]).includes(condition));
      return been.length === 0
        ? null
        : listed(been.map((condition) => CONDITION_LABEL[condition].toLowerCase()));
    }
    case 'differs': {
      const zones = ZONES.filter((zone) => form.zoneCoilMm[zone] !== undefined);
      return zones.length === 0 ? null : listed(zones.map((zone) => ZONE_LABEL[zone]));
    }
    case 'scalp': {
      const scalp = form.conditions.filter(isScalp);
      return scalp.length === 0
        ? null
        : listed(scalp.map((condition) => CONDITION_LABEL[condition].toLowerCase()));
    }
    case 'reacts':
      return form.allergies || null;
    case 'likes':
      return form.likes.length === 0 ? null : listed(form.likes.map((want) => WANT_LABEL[want]));
  }
}
