import type { HeadFormValues } from '../head-input';
import { coilWords } from './things';
import type { MeasureStepId } from './steps-known';

/** What an answer tells, in one or two sentences; null where nothing was answered. Common practice. */
export function tellsWords(id: MeasureStepId, form: HeadFormValues): string | null {
  switch (id) {
    case 'length':
      return 'Length decides what can be carried at all: braids and knots want more than a few centimetres, coils do not.';
    case 'hangs':
      return form.shrinkagePercent >= 60
        ? `It draws up by ${Math.round(form.shrinkagePercent)} in 100: plaited roots or a stretched start where length is wanted.`
        : `It draws up by ${Math.round(form.shrinkagePercent)} in 100: most of its length will show.`;
    case 'coil': {
      const mm = form.naturalCoilDiameterMm;
      const words = `A coil ${coilWords(mm)}`;
      if (mm <= 6)
        return `${words}: twists keep their turn, and rods much wider than a marker fall by day two.`;
      return mm >= 13
        ? `${words}: ringlets drop with length; foam, rods or three strands keep them.`
        : `${words}: most sets hold; size decides how long.`;
    }
    case 'strand':
      return form.strandDiameterUm <= 60
        ? 'Fine strands: foam and light layers; butter makes them limp by noon.'
        : form.strandDiameterUm >= 80
          ? 'Coarse strands: cream under gel, and more hold.'
          : 'Neither fine nor coarse: light and rich layers both work.';
    case 'dense':
      return 'Density decides how many sections there are, and which of them stay wet inside.';
    case 'drinks':
      return form.porosity === 'low'
        ? 'Water beads on it: light, warm layers; butter would sit on top and dry late.'
        : form.porosity === 'high'
          ? 'It drinks at once: deep condition, seal, and keep it misted while it waits.'
          : 'It takes what it is given and gives it back in its own time.';
    case 'been':
      return 'Bleach, heat and growing out change what its ends will do: rods there, and no hot air.';
    case 'differs':
      return 'A looser front or tighter nape gets sections and curls worked out for itself.';
    case 'scalp':
      return form.conditions.includes('sore-scalp')
        ? 'A sore or broken scalp is not set today. See a dermatologist.'
        : 'A calm scalp carries any set; keep roots loose at the hairline all the same.';
    case 'reacts':
      return 'What is noted here never comes into a draft, and is said wherever a product is chosen. It finds only what products list: patch-test all the same.';
    case 'likes':
      return 'Drafts for her begin with this; it can be changed each time.';
    case 'who':
      return null;
  }
}
