import type { SectionPlan } from './section-forecasts';

/**
 * How uneven the parting is: coefficient of variation of hairs per section against the mean of its own zone, so
 * that zones parted larger on purpose do not count as uneven (set-geometry §3).
 */
export function hairCountCv(sections: readonly Pick<SectionPlan, 'zone' | 'hairCount'>[]): number {
  const means = new Map<string, { hairs: number; count: number }>();
  for (const { zone, hairCount } of sections) {
    const soFar = means.get(zone) ?? { hairs: 0, count: 0 };
    means.set(zone, { hairs: soFar.hairs + hairCount, count: soFar.count + 1 });
  }
  const squares = sections.reduce((sum, { zone, hairCount }) => {
    const { hairs, count } = means.get(zone)!;
    return sum + ((hairCount * count) / hairs - 1) ** 2;
  }, 0);
  return sections.length < 2 ? 0 : Math.sqrt(squares / sections.length);
}
