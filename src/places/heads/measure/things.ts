/** Things that everyone has, and how wide they are, mm (common practice; makers differ). */
export const THINGS = [
  { id: 'spring', label: 'the spring of a pen', mm: 4.5 },
  { id: 'straw', label: 'a drinking straw', mm: 6 },
  { id: 'pencil', label: 'a pencil', mm: 7.5 },
  { id: 'marker', label: 'a marker', mm: 13 },
  { id: 'thumb', label: 'your thumb', mm: 20 },
] as const;
export type ThingId = (typeof THINGS)[number]['id'];

/** Where no thing meets it, mm. */
export const BEYOND = [
  { id: 'tighter', label: 'Tighter than the spring', mm: 3.2 },
  { id: 'wave', label: 'Bends, makes no coil', mm: 40 },
] as const;

/** The thing that a coil is nearest to in width. */
export const nearestThing = (mm: number) =>
  [...THINGS, ...BEYOND].reduce((nearest, thing) =>
    Math.abs(Math.log(thing.mm / mm)) < Math.abs(Math.log(nearest.mm / mm)) ? thing : nearest,
  );

/** How wide a coil is, in words: "as wide as a pencil". */
export const coilWords = (mm: number): string => {
  const { id, label } = nearestThing(mm);
  return id === 'tighter' || id === 'wave' ? label.toLowerCase() : `as wide as ${label}`;
};

/** Lengths that are said by where hair reaches, pulled straight down at the back, cm (common practice). */
export const REACHES = [
  { label: 'a few cm', cm: 6 },
  { label: 'ear', cm: 12 },
  { label: 'chin', cm: 20 },
  { label: 'shoulder', cm: 28 },
  { label: 'armpit', cm: 38 },
  { label: 'mid back', cm: 50 },
  { label: 'waist', cm: 65 },
] as const;

/** How much tighter or looser a zone is taken to be, over the rest (common practice). */
export const DIFFERS = { tighter: 0.72, looser: 1.4 } as const;
export type Differs = keyof typeof DIFFERS;
