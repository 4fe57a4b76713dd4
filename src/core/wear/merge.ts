import type { Reason } from './reason';

/** Reasons of several parts of a head as one list: effects weighed by hair, in the words of the part that weighs most. */
export function mergeReasons(
  parts: readonly { readonly share: number; readonly why: readonly Reason[] }[],
): Reason[] {
  const merged = new Map<string, { effect: number; text: string; weight: number }>();
  for (const { share, why } of parts) {
    for (const { factor, effect, text } of why) {
      const soFar = merged.get(factor);
      const weight = Math.abs(effect) * share;
      merged.set(factor, {
        effect: (soFar?.effect ?? 0) + share * effect,
        text: soFar && soFar.weight >= weight ? soFar.text : text,
        weight: Math.max(soFar?.weight ?? 0, weight),
      });
    }
  }
  return [...merged]
    .map(([factor, { effect, text }]) => ({ factor, effect, text }))
    .sort((a, b) => Math.abs(b.effect) - Math.abs(a.effect));
}
