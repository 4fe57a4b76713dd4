import { QUADRANT_LABEL, QUADRANTS } from '@/core/parting/quadrant';
import { dryingMethods } from '@/core/drying-methods';
import { isDryingMethod } from '@/core/run/dry-log';
import { faults, isFault } from '@/core/run/faults';
import { capitalised } from '@/core/words/words';
import { sectionName } from '@/core/parting/section-name';
import { formatMinutes, formatPercent } from '@/ui/format';
import { partingWords } from './parting-words';
import { prepName } from '@/core/coefficients/prep-steps';
import type { RunEvent, RunEventKind } from '@/core/run/run-event';

const named = ({ sectionNumber }: Pick<RunEvent, 'sectionNumber'>) => sectionName(sectionNumber ?? 0);

const WORDS: Readonly<Record<RunEventKind, (event: RunEvent) => string>> = {
  'section-done': (event) => `Section ${named(event)} done`,
  'section-undone': (event) => `Section ${named(event)} not done after all`,
  paused: () => 'Paused',
  resumed: () => 'Went on',
  misted: ({ step }) => {
    const quadrant = QUADRANTS.find((id) => id === step);
    return quadrant ? `Misted the ${QUADRANT_LABEL[quadrant]}` : 'Misted';
  },
  felt: (event) => `Felt section ${named(event)}, ${event.level}: ${event.feel}`,
  installed: () => 'Set finished',
  dried: () => 'Dry all over',
  'taken-down': ({ note }) => (note ? `Taken down damp: ${note}` : 'Taken down'),
  note: ({ note }) => `Note: ${note}`,
  'taken-back': () => 'A correction: taken back',
  moved: () => 'A correction: another time',
  'step-begun': ({ step }) => `${prepName(step ?? '')} begun`,
  'step-done': ({ step }) => `${prepName(step ?? '')} done`,
  'step-skipped': ({ step }) => `${prepName(step ?? '')} left out`,
  'dry-begun': ({ step, minutes }) =>
    `${isDryingMethod(step) ? capitalised(dryingMethods[step].phrase) : 'Drying'}${minutes === null ? '' : ` for ${formatMinutes(minutes)}`}`,
  'dry-stopped': () => 'Drying stopped',
  'section-loosed': (event) => `Section ${named(event)} undone`,
  'section-separated': (event) => `Section ${named(event)} separated`,
  fluffed: () => 'Roots fluffed',
  fault: (event) =>
    `Section ${named(event)}: ${isFault(event.step) ? faults[event.step].label.toLowerCase() : 'something was wrong'}`,
  'tub-weighed': ({ step, amount }) => `Product ${Number(step) + 1} weighed: ${Math.round(amount ?? 0)} g`,
  dispensed: ({ step, amount }) => `Product ${Number(step) + 1}: ${amount} more`,
  parted: ({ parting }) => (parting ? capitalised(partingWords(parting)) : 'Parted otherwise'),
  'dry-planned': ({ step, minutes }) =>
    `Planned: ${isDryingMethod(step) ? dryingMethods[step].phrase : 'drying'} for ${formatMinutes(minutes ?? 0)}`,
  room: ({ room }) =>
    room
      ? `The room: ${Math.round(room.temperatureC)} °C, ${formatPercent(room.relativeHumidity)}`
      : 'The room was measured',
  measured: () => 'Measured for the first time',
};

/** What happened, as one would say it. */
export const eventWords = (event: RunEvent): string => WORDS[event.kind](event);
