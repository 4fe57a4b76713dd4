import { Temporal } from 'temporal-polyfill';
import { HEAD_RANGES, USUAL_HEAD } from './ranges';
import { prepSteps } from '../coefficients/prep-steps';
import { DRYING_METHOD_IDS, dryingMethods } from '../drying-methods';
import { withOutput } from '../drying-methods/method';
import { ponytailDensityPerCm2, scalpAreaCm2, type Head } from '../hair/head';
import { perZone, ZONE_LABEL, ZONES, type PerZone } from '../hair/zone';
import { MAX_SECTIONS, MIN_SECTIONS } from '../parting/generate';
import { dividesAside, inRows } from '../parting/pattern';
import { recipeCount } from '../parting/recipe';
import { techniqueOf, type TechniqueId } from '../techniques';
import type { Technique } from '../techniques/technique';
import { toolKindOf } from '../techniques/tool-kind-of';
import { toolKinds, type ToolKindId } from '../techniques/tool-kind';
import { NO_CORRECTIONS, withLearntTimes, type Corrections, type Learnt } from '../brief/learnt';
import type { Brief, PlannedSize, PlannedTool, ZoneSet } from '../brief/brief';
import { minuteOfDay } from '../schedule/sleep';
import { DAY_MS } from '../units/time';
import { briefInput, type ParsedBrief } from './brief';
import { isTimeMs } from './time-bounds';
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
/** From the beginning to being ready: nobody plans one set over longer. */
export const LONGEST_SPAN_DAYS = 30;
/** Drawn heads times sections that one forecast may ask for: about three seconds of work. */
export const MOST_DRAWN_SECTIONS = 600_000;

function readTime(text: string, timeZone: string | undefined, path: string): Checked<number> {
  const wrong = (message: string) => ({ ok: false, errors: [{ path, message }] }) as const;
  try {
    const hasOffset = HAS_OFFSET.test(text);
    if (!hasOffset && !timeZone)
      return wrong(`${path} has no offset: write one, as in ${text}+01:00, or give a timeZone`);
    const ms = hasOffset
      ? Temporal.Instant.from(text).epochMilliseconds
      : Temporal.PlainDateTime.from(text).toZonedDateTime(timeZone!).epochMilliseconds;
    return isTimeMs(ms)
      ? { ok: true, value: ms }
      : wrong(`${path} “${text}” is out of range; give a time from 1970 to 2199`);
  } catch {
    return wrong(`${path} “${text}” is not a time that exists`);
  }
}

function readHead(head: ParsedBrief['head'], errors: FieldError[]): Head {
  const areaCm2 = scalpAreaCm2(head.circumferenceCm);
  const density = HEAD_RANGES.densityPerCm2;
  const fromPonytail =
    head.ponytailCircumferenceCm === undefined
      ? undefined
      : ponytailDensityPerCm2(head.ponytailCircumferenceCm, head.strandDiameterUm, areaCm2);
  if (
    head.densityPerCm2 === undefined &&
    fromPonytail !== undefined &&
    (fromPonytail < density.low || fromPonytail > density.high)
  ) {
    errors.push({
      path: 'head.ponytailCircumferenceCm',
      message: `that ponytail would mean ${Math.round(fromPonytail)} hairs per cm²; ${density.low} to ${density.high} is possible. Measure it again, gripped firmly`,
    });
  }
  const { stretchedLengthCm: length } = head;
  return {
    circumferenceCm: head.circumferenceCm,
    densityPerCm2: head.densityPerCm2 ?? fromPonytail ?? USUAL_HEAD.densityPerCm2,
    strandDiameterUm: head.strandDiameterUm,
    naturalCoilDiameterMm: head.naturalCoilDiameterMm,
    zoneCoilMm: head.zoneCoilMm,
    shrinkage: head.shrinkage,
    porosity: head.porosity,
    conditions: head.conditions,
    notKnown: head.notKnown,
    stretchedLengthCm: perZone((zone) => (typeof length === 'number' ? length : length[zone])),
  };
}

type ToolInput = ParsedBrief['set']['tool'];

function readTool(kind: ToolKindId | null, given: ToolInput): PlannedTool | null {
  if (kind === null) return null;
  const { usual } = toolKinds[kind];
  const size = (told: Omit<NonNullable<ToolInput>, 'alternate'> | undefined): PlannedSize => ({
    kind,
    diameterMm: told?.diameterMm ?? usual.diameterMm,
    workingLengthMm: told?.workingLengthMm ?? usual.workingLengthMm,
    owned: told?.owned ?? 0,
  });
  return { ...size(given ?? undefined), alternate: given?.alternate ? size(given.alternate) : null };
}

/** Root and ends as given, or the first the technique can carry. */
function readMethods(
  technique: Technique,
  given: Pick<ParsedBrief['set'], 'rootMethod' | 'endsMethod'>,
  path: string,
  errors: FieldError[],
): Pick<ZoneSet, 'rootMethod' | 'endsMethod'> {
  const { rootMethods, endsMethods } = technique;
  const { rootMethod = rootMethods[0], endsMethod = endsMethods[0] } = given;
  const one = technique.noun[0];
  if (!rootMethods.includes(rootMethod)) {
    errors.push({
      path: `${path}.rootMethod`,
      message: `a ${one} cannot start with “${rootMethod}”; choose ${rootMethods.join(', ')}`,
    });
  }
  if (!endsMethods.includes(endsMethod)) {
    errors.push({
      path: `${path}.endsMethod`,
      message: `a ${one} cannot end “${endsMethod}”; choose ${endsMethods.join(', ')}`,
    });
  }
  return { rootMethod, endsMethod };
}

function readSet(brief: ParsedBrief, areaCm2: number, errors: FieldError[]): Brief['set'] {
  const { set } = brief;
  const technique = techniqueOf(set.technique);
  const methods = readMethods(technique, set, 'set', errors);
  return {
    technique: set.technique,
    sections: brief.parting.recipe
      ? recipeCount(brief.parting.recipe)
      : (set.sections ??
        Math.min(MAX_SECTIONS, Math.max(MIN_SECTIONS, Math.round(areaCm2 / (set.sectionSideCm ?? 6) ** 2)))),
    ...methods,
    startState: set.startState,
    tool: readTool(toolKindOf(technique, methods.endsMethod), set.tool),
    layers: set.layers,
    brushedThrough: set.brushedThrough,
    blotted: set.blotted,
    hand: set.hand,
    knot: { prepared: set.knot.prepared, turns: set.knot.turns ?? null },
    fastened: set.fastened,
  };
}

/** A method of the set where the zone's own technique can carry it too; else that technique's first. */
const carriedOver = <K extends string>(of: readonly [K, ...K[]], method: K): K =>
  of.includes(method) ? method : of[0];

function readZones(brief: ParsedBrief, set: Brief['set'], errors: FieldError[]): PerZone<ZoneSet> {
  return perZone((zone) => {
    const zoneDraft = brief.set.zones?.[zone];
    if (!zoneDraft) return { ...set, sections: null };
    const id: TechniqueId = zoneDraft.technique ?? set.technique;
    const technique = techniqueOf(id);
    const methods = readMethods(
      technique,
      {
        rootMethod: zoneDraft.rootMethod ?? carriedOver(technique.rootMethods, set.rootMethod),
        endsMethod: zoneDraft.endsMethod ?? carriedOver(technique.endsMethods, set.endsMethod),
      },
      `set.zones.${zone}`,
      errors,
    );
    const kind = toolKindOf(technique, methods.endsMethod);
    if (brief.parting.recipe && zoneDraft.sections !== undefined) {
      errors.push({
        path: `set.zones.${zone}.sections`,
        message: `the recipe parts the ${ZONE_LABEL[zone]} already; leave the number out, or leave the recipe out`,
      });
    }
    return {
      technique: id,
      ...methods,
      tool: zoneDraft.tool || kind !== set.tool?.kind ? readTool(kind, zoneDraft.tool) : set.tool,
      sections: zoneDraft.sections ?? null,
    };
  });
}

/** What a parting cannot do together with the rest of the set. */
function partingErrors({ parting }: ParsedBrief, set: Brief['set'], zones: PerZone<ZoneSet>): FieldError[] {
  const errors: FieldError[] = [];
  const counted = ZONES.filter((zone) => zones[zone].sections !== null);
  const pattern = parting.pattern ?? techniqueOf(set.technique).usualPattern;
  if (parting.trial) {
    if (set.sections % 2 === 1 && !dividesAside(parting.part)) {
      errors.push({
        path: 'set.sections',
        message: `a half-head trial needs as many sections on either side: take ${set.sections - 1} or ${set.sections + 1}, not ${set.sections}`,
      });
    }
    if (counted.length > 0) {
      errors.push({
        path: `set.zones.${counted[0]!}.sections`,
        message:
          'a half-head trial is parted alike all over: let the zones be parted as the rest, or leave the trial',
      });
    }
  }
  if (parting.backRows !== undefined) {
    const path = 'parting.backRows';
    if (!inRows(pattern)) {
      errors.push({
        path,
        message:
          'rows at the back are counted in straight or brick rows: choose one of those, or leave them out',
      });
    } else if (counted.some((zone) => zone === 'back' || zone === 'nape')) {
      errors.push({ path, message: 'the back is parted for itself already: leave its rows out' });
    } else if (set.sections < 2 * parting.backRows) {
      errors.push({
        path,
        message: `${parting.backRows} rows at the back take at least ${2 * parting.backRows} sections; there are ${set.sections}`,
      });
    }
  }
  return errors;
}

/**
 * Reads a brief of the open format: every field checked, defaults filled in, times made absolute.
 *
 * @returns the brief, or what to change, field by field
 */
export function readBrief(raw: unknown): Checked<Brief> {
  const parsed = briefInput.safeParse(raw, { reportInput: true });
  if (!parsed.success) return { ok: false, errors: fieldErrors(parsed.error) };
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
  const zones = readZones(input, set, errors);
  const total = set.sections + ZONES.reduce((sum, zone) => sum + (zones[zone].sections ?? 0), 0);
  if (total > MAX_SECTIONS) {
    errors.push({
      path: 'set.sections',
      message: `with the zones of their own there would be ${total} sections; a head takes at most ${MAX_SECTIONS}`,
    });
  }
  if (!input.parting.recipe) errors.push(...partingErrors(input, set, zones));
  const halved = set.layers.findIndex(({ half }) => half);
  if (halved >= 0 && !(input.parting.recipe?.trial ?? input.parting.trial)) {
    errors.push({
      path: `set.layers.${halved}.half`,
      message:
        'a layer goes on one half only where two halves are compared: compare them, or leave the half out',
    });
  }
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
  if (startAtMs !== null && wearByMs !== null && wearByMs - startAtMs > LONGEST_SPAN_DAYS * DAY_MS) {
    errors.push({
      path: 'wearBy',
      message: `wearBy must be at most ${LONGEST_SPAN_DAYS} days after startAt`,
    });
  }
  const mostDraws = Math.floor(MOST_DRAWN_SECTIONS / total);
  if (input.draws > mostDraws) {
    errors.push({
      path: 'draws',
      message: `${total} sections can be drawn at most ${mostDraws} times; ${input.draws} was given`,
    });
  }
  if (errors.length > 0) return { ok: false, errors };
  const offset = HAS_OFFSET.exec(input.wearBy ?? input.startAt ?? '')?.[0];
  const { parting } = input;
  return {
    ok: true,
    value: withLearntTimes({
      head,
      set,
      zones,
      parting: {
        pattern: parting.recipe?.pattern ?? parting.pattern ?? techniqueOf(set.technique).usualPattern,
        part: parting.recipe?.part.kind ?? parting.part,
        trial: parting.recipe?.trial ?? parting.trial,
        backRows: parting.backRows ?? null,
        sizes: perZone((zone) => parting.zoneSize?.[zone] ?? 1),
        recipe: parting.recipe ?? null,
        winding: parting.winding,
      },
      wear: input.wear,
      room: input.room,
      prep:
        input.prep?.map(({ step, minutes, product }) => ({
          step,
          minutes: minutes ?? prepSteps[step].usualMin,
          product: product ?? null,
        })) ?? null,
      sleep: input.sleep
        ? { fromMin: minuteOfDay(input.sleep.from), untilMin: minuteOfDay(input.sleep.until) }
        : null,
      drying:
        input.drying.length > 0
          ? input.drying.map(({ method, hours, ...output }) => ({
              method: withOutput(dryingMethods[method], output),
              hours,
            }))
          : [{ method: dryingMethods[DRYING_METHOD_IDS[0]!], hours: 0 }],
      pace: input.pace,
      dryingRate: input.dryingRate,
      learnt: input.asIfUnknown ? null : ((input.learnt as Learnt | undefined) ?? null),
      corrections: (input.corrections as Corrections | undefined) ?? NO_CORRECTIONS,
      startAtMs,
      wearByMs,
      timeZone: input.timeZone ?? (offset === 'Z' ? 'UTC' : (offset ?? 'UTC')),
      draws: input.draws,
      seed: input.seed,
      note: input.note,
    }),
  };
}
