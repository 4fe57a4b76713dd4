/** A JSON object, nothing of which is known yet. */
type Loose = Readonly<Record<string, unknown>>;

const isObject = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const listOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : []);

/** An object under other names; what is no object, and keys that are not renamed, stay as they are. */
const renamed = (value: unknown, names: Readonly<Record<string, string>>): unknown =>
  isObject(value)
    ? Object.fromEntries(Object.entries(value).map(([key, inner]) => [names[key] ?? key, inner]))
    : value;

const SPLIT_AXES: Readonly<Record<string, string>> = { g: 'cut', t: 'row' };

/** A trial of two halves was once a part of its own; a head is worn with a part all the same. */
function withTrialApart(told: Loose, kind: unknown, asPart: (kind: string) => Loose): Loose {
  return kind === 'half-head' ? { ...told, ...asPart('none'), trial: true } : told;
}

/**
 * Parting lines of version 1, which named their fields `v C t g dir`, as version 2 names them. Anything else is
 * answered as it came, for the reader to judge. Only names differ: no line moves.
 */
export function upgradedParting(lines: unknown): unknown {
  if (!isObject(lines)) return lines;
  const told = lines.v === 1 ? fromVersion1(lines) : lines;
  const { part } = told;
  return isObject(part) ? withTrialApart(told, part.kind, (kind) => ({ part: { ...part, kind } })) : told;
}

function fromVersion1(lines: Loose): Loose {
  const { v: _, splits, marks, panels, ...rest } = lines;
  return {
    ...(renamed(rest, { C: 'circumferenceCm' }) as Loose),
    version: 2,
    ...(splits !== undefined && {
      splits: listOf(splits).map((split) =>
        isObject(split) ? { ...split, axis: SPLIT_AXES[String(split.axis)] ?? split.axis } : split,
      ),
    }),
    ...(isObject(marks) && {
      marks: Object.fromEntries(
        Object.entries(marks).map(([key, mark]) => [key, renamed(mark, { dir: 'direction' })]),
      ),
    }),
    panels: listOf(panels).map((panel) => renamed(panel, { t: 'rowLines', g: 'cuts' })),
  };
}

/** A brief as it was written down by an older version, in the words of this one. */
export function upgradedBrief(brief: unknown): unknown {
  if (!isObject(brief) || !isObject(brief.parting)) return brief;
  return { ...brief, parting: upgradedPartingWish(brief.parting) };
}

/** How a head is to be parted, as older briefs say it. */
export function upgradedPartingWish(parting: unknown): unknown {
  if (!isObject(parting)) return parting;
  const told = withTrialApart(parting, parting.part, (part) => ({ part }));
  return told.recipe === undefined ? told : { ...told, recipe: upgradedParting(told.recipe) };
}
