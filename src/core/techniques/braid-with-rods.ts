import { braid, plaitedForm } from './braid';
import { defineTechnique } from './technique';

export const braidWithRods = defineTechnique({
  ...braid,
  id: 'braid-with-rods',
  label: 'Braid with rods on the ends',
  summary:
    'A plait whose last quarter is wound on a small rod. Crimped lengths, curled ends; good for weak or blunt ends.',
  chairLine: 'Plait three equal ropes to the last quarter, paste the ends flat and wind them on the rod.',
  takedownLine: 'Unwind the rod first, then unpick the braid from the tip.',
  styleName: 'braid-and-rod out',
  inSet: 'plait-on-rod',
  usualSections: 12,
  tool: 'end-rod',
  endsMethods: ['rod'],
  coefficients: { ...braid.coefficients, value: { ...braid.coefficients.value, shortestCm: 12 } },
  form: ({ ropeMm }) => plaitedForm(ropeMm),
});
