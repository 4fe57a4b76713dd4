import { Temporal } from 'temporal-polyfill';
import { DRYING_METHOD_IDS, dryingMethods } from '../drying-methods';
import { ponytailDensityPerCm2, scalpAreaCm2, type Head } from '../hair/head';
import { perZone } from '../hair/zone';
import { MAX_SECTIONS, MIN_SECTIONS } from '../parting/brick-layout';
import { techniqueOf, type TechniqueId } from '../techniques';
import type { Brief } from '../plan/brief';
import { briefInput, DEFAULT_DENSITY_PER_CM2, PLANNED_FIELDS, type ParsedBrief } from './brief';
import { fieldErrors, type Checked, type FieldError } from './field-error';

/** Whether a name is a time zone this engine knows. */
export function isTimeZone(name: string): boolean {
  try {
    Temporal.Instant.fromEpochMilliseconds(0).toZonedDateTimeISO(name);
    return true;
  } catch {
    return false;
  }
}

const HAS_OFFSET = /(Z|[+-]\d{2}:\d{2})$/;

function readTime(text: string, timeZone: string | undefined, path: string): Checked<number> {
  const wrong = (message: string) => ({ ok: false, errors: [{ path, message }] }) as const;
  try {
    if (HAS_OFFSET.test(text)) return { ok: true, value: Temporal.Instant.from(text).epochMilliseconds };
    if (!timeZone) return wrong(`${path} has no offset: write one, as in ${text}+01:00, or give a timeZone`);
    return { ok: true, value: Temporal.PlainDateTime.from(text).toZonedDateTime(timeZone).epochMilliseconds };
  } catch {
    return wrong(`${path} “${text}” is not a time that exists`);
  }
}

function readHead(head: ParsedBrief['head'], errors: FieldError[]): Head {
  const areaCm2 = scalpAreaCm2(head.circumferenceCm);
  const fromPonytail =
    head.ponytailCircumferenceCm === undefined
      ? undefined
      : ponytailDensityPerCm2(head.ponytailCircumferenceCm, head.strandDiameterUm, areaCm2);
  if (
    head.densityPerCm2 === undefined &&
    fromPonytail !== undefined &&
    (fromPonytail < 40 || fromPonytail > 350)
  ) {
    errors.push({
      path: 'head.ponytailCircumferenceCm',
      message: `that ponytail would mean ${Math.round(fromPonytail)} hairs per cm²; 40 to 350 is possible. Measure it again, gripped firmly`,
    });
  }
  const { stretchedLengthCm: length } = head;
  return {
    circumferenceCm: head.circumferenceCm,
    densityPerCm2: head.densityPerCm2 ?? fromPonytail ?? DEFAULT_DENSITY_PER_CM2,
    strandDiameterUm: head.strandDiameterUm,
    naturalCoilDiameterMm: head.naturalCoilDiameterMm,
    shrinkage: head.shrinkage,
    porosity: head.porosity,
    conditions: head.conditions,
    stretchedLengthCm: perZone((zone) => (typeof length === 'number' ? length : length[zone])),
  };
}

function readSet(brief: ParsedBrief, areaCm2: number, errors: FieldError[]): Brief['set'] {
  const { set } = brief;
  const technique = techniqueOf(set.technique as TechniqueId);
  const one = (path: string, message: string) => errors.push({ path, message });
  const rootMethod = set.rootMethod ?? technique.rootMethods[0];
  const endsMethod = set.endsMethod ?? technique.endsMethods[0];
  if (!technique.rootMethods.includes(rootMethod)) {
    one(
      'set.rootMethod',
      `a ${technique.noun[0]} cannot start with “${rootMethod}”; choose ${technique.rootMethods.join(', ')}`,
    );
  }
  if (!technique.endsMethods.includes(endsMethod)) {
    one(
      'set.endsMethod',
      `a ${technique.noun[0]} cannot end “${endsMethod}”; choose ${technique.endsMethods.join(', ')}`,
    );
  }
  if (technique.tool && !set.tool) one('set.tool', 'a rod set needs a rod: give its diameterMm');
  if (!technique.tool && set.tool)
    one('set.tool', `${technique.noun[1]} use no rod along the length; leave the tool out`);
  const sections =
    set.sections ??
    Math.min(MAX_SECTIONS, Math.max(MIN_SECTIONS, Math.round(areaCm2 / (set.sectionSideCm ?? 6) ** 2)));
  return {
    technique: set.technique,
    sections,
    rootMethod,
    endsMethod,
    startState: set.startState,
    tool: technique.tool ? (set.tool ?? null) : null,
    layers: set.layers,
    brushedThrough: set.brushedThrough,
  };
}

/**
 * Reads a brief of the open format: every field checked, defaults filled in, times made absolute.
 *
 * @returns the brief, or what to change, field by field
 */
export function readBrief(raw: unknown): Checked<Brief> {
  const parsed = briefInput.safeParse(raw, { reportInput: true });
  if (!parsed.success) return { ok: false, errors: fieldErrors(parsed.error, PLANNED_FIELDS) };
  const input = parsed.data;
  const errors: FieldError[] = [];
  if (input.timeZone !== undefined && !isTimeZone(input.timeZone)) {
    errors.push({
      path: 'timeZone',
      message: `“${input.timeZone}” is not a time zone; use a name such as Europe/Lisbon`,
    });
    return { ok: false, errors };
  }
  const head = readHead(input.head, errors);
  const set = readSet(input, scalpAreaCm2(head.circumferenceCm), errors);
  const times = (['startAt', 'wearBy'] as const).map((key) => {
    const text = input[key];
    if (text === undefined) return null;
    const read = readTime(text, input.timeZone, key);
    if (read.ok) return read.value;
    errors.push(...read.errors);
    return null;
  });
  const [startAtMs, wearByMs] = [times[0] ?? null, times[1] ?? null];
  if (startAtMs !== null && wearByMs !== null && startAtMs >= wearByMs) {
    errors.push({ path: 'wearBy', message: 'wearBy must be later than startAt' });
  }
  if (errors.length > 0) return { ok: false, errors };
  const offset = HAS_OFFSET.exec(input.wearBy ?? input.startAt ?? '')?.[0];
  return {
    ok: true,
    value: {
      head,
      set,
      wear: input.wear,
      room: input.room,
      drying:
        input.drying.length > 0
          ? input.drying.map(({ method, hours }) => ({ method: dryingMethods[method], hours }))
          : [{ method: dryingMethods[DRYING_METHOD_IDS[0]!], hours: 0 }],
      pace: input.pace,
      startAtMs,
      wearByMs,
      timeZone: input.timeZone ?? (offset === 'Z' ? 'UTC' : (offset ?? 'UTC')),
    },
  };
}
