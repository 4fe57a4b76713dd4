import { z } from 'zod';
import { ROLE_IDS } from '../products';
import { HEAD_RANGES, SECTION_DOSE } from './ranges';
import { PANEL_IDS } from '../parting/panel';
import { PART_LINES, PARTING_PATTERNS } from '../parting/pattern';
import { MAX_SECTIONS } from '../parting/generate';
import { DIRECTIONS, SPLIT_AXES } from '../parting/recipe';
import { bounded, choice, within } from './field';
import { upgradedParting } from './older-parting';

const sectionKey = z.string().min(1, 'name the section by its key').max(120);
const coordinate = bounded('a line of the recipe', -4, 4);
const ascending = (values: readonly number[]) =>
  values.every((value, i) => i === 0 || value > values[i - 1]!);

const recipePanel = z
  .strictObject({
    id: choice('panel', PANEL_IDS),
    rowLines: z
      .array(coordinate)
      .min(2, 'a panel needs a back and a front line')
      .max(MAX_SECTIONS + 1),
    cuts: z.array(z.array(coordinate).max(MAX_SECTIONS)),
  })
  .refine((panel) => ascending(panel.rowLines), {
    path: ['rowLines'],
    error: 'row lines must go from the back forwards',
  })
  .refine((panel) => panel.cuts.every(ascending), {
    path: ['cuts'],
    error: 'cuts must go from left to right',
  })
  .refine((panel) => panel.cuts.length === panel.rowLines.length - 1, {
    path: ['cuts'],
    error: 'a panel needs one list of cuts for each row: one fewer than its row lines',
  });

const recipe = z.strictObject({
  version: z.literal(2, {
    error: 'this program reads partings of versions 1 and 2; leave the recipe out to part the head anew',
  }),
  circumferenceCm: within('circumference of the recipe', HEAD_RANGES.circumferenceCm, 'cm'),
  pattern: choice('parting pattern', PARTING_PATTERNS),
  part: z.strictObject({
    kind: choice('part', PART_LINES),
    points: z
      .array(z.tuple([bounded('part, nape to face,', -2, 2), bounded('part, across,', -0.62, 0.62)]))
      .max(16, 'a part takes at most 16 points')
      .default([]),
  }),
  trial: z.boolean().default(false).describe('two halves are compared'),
  splits: z
    .array(z.strictObject({ key: sectionKey, axis: choice('axis of a split', SPLIT_AXES), at: coordinate }))
    .max(MAX_SECTIONS)
    .default([]),
  merges: z
    .array(z.array(sectionKey).min(2, 'a merge takes at least two sections').max(20))
    .max(MAX_SECTIONS)
    .default([]),
  exclude: z
    .array(
      z
        .array(z.tuple([coordinate, coordinate]))
        .min(3, 'a patch that is left out needs at least three corners')
        .max(200),
    )
    .max(20, 'at most 20 patches are left out')
    .default([]),
  marks: z
    .record(
      sectionKey,
      z.strictObject({
        tool: z.string().max(40).optional(),
        direction: choice('direction', DIRECTIONS).optional(),
        angle: bounded('angle', 0, 360, '°').optional(),
        product: z.string().max(10).optional(),
        dose: within('dose of a section', SECTION_DOSE, '×').optional(),
        without: z.array(choice('product', ROLE_IDS)).max(ROLE_IDS.length).optional(),
      }),
    )
    .default({}),
  panels: z.array(recipePanel).min(1, 'a recipe needs a panel').max(12, 'a recipe takes at most 12 panels'),
});

/** A whole parting as lines, in place of a pattern and a count; lines of version 1 are read too. */
export const recipeInput = z.preprocess(upgradedParting, recipe) as unknown as typeof recipe;
