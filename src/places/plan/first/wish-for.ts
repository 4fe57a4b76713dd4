import type { Corrections, Learnt } from '@/core/brief/learnt';
import type { Want } from '@/core/coefficients/wants';
import type { HandId } from '@/core/coefficients/hands';
import type { ShelfDryer, ShelfProduct, ShelfTool } from '@/core/draft/draft-brief';
import { dryingMethods, DRYING_METHOD_IDS } from '@/core/drying-methods';
import type { HeadInput } from '@/core/formats/brief';
import type { WishInput } from '@/core/formats/wish';
import { localMs, localTimeOf } from '@/core/schedule/local-time';
import type { ChosenSchools } from '@/core/schools/schools';
import type { PastSet } from '@/core/suggest/record';
import { isLayerKind } from '@/core/products/shelf-kind';
import { isUnmade, leftNowG, minorPerG } from '@/core/shelf/stock';
import type { TechniqueId } from '@/core/techniques';
import { HOUR_MS, MINUTE_MS } from '@/core/units/time';
import { USUAL_SLEEP, usualBegin } from '../usual-plan';

/** What is asked on the first screen of a set, and what is behind "more". */
export interface WishForm {
  /** On the wall clock of the studio; null for no fixed time. */
  readonly ready: string | null;
  readonly wants: readonly Want[];
  readonly technique: TechniqueId | null;
  /** Null where the usual beginning is taken. */
  readonly begin: string | null;
  readonly workH: number | null;
}

/** Whose head, and what is at hand. */
export interface WishMeans {
  readonly head: HeadInput;
  readonly allergies: string;
  readonly schools: ChosenSchools;
  /** Sets on this head that are over. */
  readonly past: readonly PastSet[];
  readonly products: readonly ShelfProduct[];
  readonly tools: readonly ShelfTool[];
  readonly dryers: readonly ShelfDryer[];
  readonly hand: HandId;
  readonly timeZone: string;
  /** What is learnt of her, and what forecasts are put right by. */
  readonly known: {
    readonly learnt: Learnt | null;
    readonly corrections: Corrections | null;
  };
}

const QUARTER_MS = 15 * MINUTE_MS;

/** When the work begins where nobody says: the usual hour, or now where that has gone by. */
export function beginOf(ready: string | null, timeZone: string, nowMs: number): string | null {
  const readyMs = ready === null ? null : localMs(ready, timeZone);
  if (ready === null || readyMs === null) return null;
  const usual = usualBegin(ready, timeZone);
  const now = Math.ceil(nowMs / QUARTER_MS) * QUARTER_MS;
  return localTimeOf(readyMs > now ? Math.max(usual, now) : usual, timeZone);
}

type Shelf = NonNullable<WishInput['shelf']>;
type WishDrying = NonNullable<Shelf['drying']>[number];

/** Ways to dry that the shelf allows, each as its machine gives it: air and satin always, the usual machines where none is listed. */
function dryingOf(dryers: readonly ShelfDryer[]): WishDrying[] {
  const owned = dryers.filter(({ count }) => count > 0);
  return DRYING_METHOD_IDS.flatMap((method): WishDrying[] => {
    const { dryer } = dryingMethods[method];
    if (dryer === null) return [method];
    if (owned.length === 0) return dryer === 'fan' ? [] : [method];
    const machine = owned.find(({ kind }) => kind === dryer);
    return machine ? [{ method, airSpeedMS: machine.airSpeedMS }] : [];
  });
}

const known = <K extends string, V>(key: K, value: V | null) => (value === null ? {} : { [key]: value });

/** A form, and what is at hand, as a wish of the open format. */
export function wishFor(form: WishForm, means: WishMeans, nowMs: number): WishInput {
  const { timeZone, products } = means;
  const begin = form.begin ?? beginOf(form.ready, timeZone, nowMs);
  const dayOfReady = form.ready?.slice(0, 10) ?? localTimeOf(nowMs + 24 * HOUR_MS, timeZone).slice(0, 10);
  return {
    format: 'keen-spiral/wish',
    version: 1,
    head: means.head,
    wants: [...form.wants],
    technique: form.technique,
    ...(form.ready ? { wearBy: form.ready, startAt: begin } : {}),
    timeZone,
    sleep: USUAL_SLEEP,
    handsOnHours: form.workH,
    allergies: means.allergies,
    schools: { ...means.schools },
    past: [...means.past],
    ...(means.known.learnt ? { learnt: means.known.learnt as WishInput['learnt'] } : {}),
    ...(means.known.corrections ? { corrections: means.known.corrections } : {}),
    hand: means.hand,
    shelf: {
      // Who keeps no shelf is not told to buy everything.
      ...(products.length === 0
        ? {}
        : {
            products: products
              .filter(({ role }) => isLayerKind(role))
              .map((product) => ({
                id: product.id,
                name: product.name,
                role: product.role as NonNullable<Shelf['products']>[number]['role'],
                ...known('hold', product.hold),
                ...known('weight', product.weight),
                ...known('waterShare', product.waterShare),
                protein: product.hasProtein,
                ...known('gramsLeft', leftNowG(product)),
                ...known('priceMinorPerG', minorPerG(product)),
                ingredients: product.ingredients,
                ...known('useBy', product.useBy),
                unusable: isUnmade(product) || (product.useBy !== null && product.useBy < dayOfReady),
              })),
          }),
      ...(means.tools.length === 0
        ? {}
        : {
            tools: means.tools.map(({ kind, diameterMm, workingLengthMm, owned }) => ({
              kind: kind as NonNullable<Shelf['tools']>[number]['kind'],
              diameterMm,
              workingLengthMm,
              owned,
            })),
          }),
      drying: dryingOf(means.dryers),
    },
  };
}
