import { MOST_WANTS, WANTS, type Want } from '@/core/coefficients/wants';
import { TECHNIQUE_IDS, type TechniqueId } from '@/core/techniques';
import type { WishForm } from './wish-for';

const LOCAL_TIME = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/;
const NONE = 'none';

/** The address of a first draft: what was asked is in it, so that Back and a reload bring it again. */
export function addressOf(headId: string, { ready, wants, technique, begin, workH }: WishForm): string {
  const params = new URLSearchParams({ head: headId, ready: ready ?? NONE });
  params.set('want', wants.join(',') || NONE);
  if (technique) params.set('as', technique);
  if (begin) params.set('begin', begin);
  if (workH !== null) params.set('work', String(workH));
  return `/plan/first?${params.toString()}`;
}

type Params = Readonly<Record<string, string | readonly string[] | undefined>>;

/**
 * The form that an address asks for; what cannot be read is as if it were not there.
 *
 * @param likes what she likes of every set, where the address does not say what matters
 */
export function formOf(params: Params, usualReady: string, likes: readonly Want[] = []): WishForm {
  const text = (key: string) => {
    const value = params[key];
    return typeof value === 'string' ? value : '';
  };
  const time = (key: string) => (LOCAL_TIME.test(text(key)) ? text(key) : null);
  const wants = text('want')
    .split(',')
    .filter((want): want is Want => (WANTS as readonly string[]).includes(want));
  const work = Number(text('work'));
  const technique = TECHNIQUE_IDS.find((id): id is TechniqueId => id === text('as'));
  return {
    ready: text('ready') === NONE ? null : (time('ready') ?? usualReady),
    wants: params.want === undefined ? likes : [...new Set(wants)].slice(0, MOST_WANTS),
    technique: technique ?? null,
    begin: time('begin'),
    workH: work > 0 && work <= 16 ? work : null,
  };
}
