import {
  PARAMETER_TABLES,
  SOURCE_WORDS,
  techniqueTables,
  type ParameterTable,
} from '@/core/explain/parameter-tables';
import { TOPIC_IDS, topicOf } from '@/core/explain/topics';
import { productRoles } from '@/core/products';
import { dryingMethods } from '@/core/drying-methods';
import { startStates } from '@/core/coefficients/start-states';

const cell = (value: unknown) => String(value).replaceAll('|', '\\|');
const table = (head: readonly string[], rows: readonly (readonly unknown[])[]) =>
  [head, head.map(() => '---'), ...rows].map((row) => `| ${row.map(cell).join(' | ')} |`).join('\n');

const parameters = ({ title, records }: ParameterTable) =>
  `### ${title}\n\n${table(
    ['what', 'value', 'unit', 'plausible', 'source'],
    Object.values(records).map(({ note, value, unit, low, high, source }) => [
      note,
      value,
      unit === '–' ? '' : unit,
      `${low} to ${high}`,
      SOURCE_WORDS[source],
    ]),
  )}`;

const roles = () =>
  `### Product roles\n\n${table(
    ['role', 'water', 'film s/m', 'hold', 'weight', 'g per g hair', 'measured in'],
    Object.values(productRoles).map((role) => [
      role.label,
      role.waterShare,
      role.filmSM,
      role.hold,
      role.weight,
      'fixedDoseG' in role ? `${role.fixedDoseG} g a head` : role.dosePerG,
      role.handUnit,
    ]),
  )}`;

const methods = () =>
  `### Drying methods\n\n${table(
    ['method', 'air °C', 'air m/s', 'exchange mm/s', 'scalp °C', 'sweat g/m²h', 'share of the time'],
    Object.values(dryingMethods).map((method) => [
      method.label,
      method.airC ?? 'room',
      method.airSpeedMS,
      method.exchangeMmS.join(' / '),
      method.scalpC,
      method.sweatGM2H,
      method.duty,
    ]),
  )}`;

const states = () =>
  `### Start states\n\n${table(
    ['state', 'set kept ×', 'own curl straightened', 'definition', 'frizz', 'volume', 'ln days', 'dose ×'],
    Object.values(startStates).map((state) => [
      state.label,
      state.retention,
      state.straightened,
      state.definition,
      state.frizz,
      state.volume,
      state.lnDays,
      state.doseFactor,
    ]),
  )}`;

/** The parameters page of the model notes: nothing on it is written by hand. */
export const parametersPage = (): string =>
  `${[
    '# Every parameter',
    'Made by `npm run schemas` from the tables of the code. A value changes there, with its range and source; nothing is written here by hand.',
    ...Object.values(PARAMETER_TABLES).map(parameters),
    states(),
    roles(),
    methods(),
    '## Techniques',
    ...techniqueTables().map(parameters),
    '## What each number of a plan was checked against',
    ...TOPIC_IDS.map((id) => {
      const { title, law, checkedAgainst, weak } = topicOf(id);
      return `### ${title}\n\n\`${law}\`\n\nChecked against: ${checkedAgainst.join('; ')}.\n\nWeak: ${weak.join(' ')}`;
    }),
  ].join('\n\n')}\n`;
