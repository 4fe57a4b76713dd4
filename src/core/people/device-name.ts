/** What a browser says of the machine it runs on, by what it can be told by; the first that fits. */
const MACHINES: readonly (readonly [told: RegExp, name: string])[] = [
  [/iPad/, 'iPad'],
  [/iPhone/, 'iPhone'],
  [/Android.*Mobile/, 'Android phone'],
  [/Android/, 'Android tablet'],
  [/Windows/, 'Windows computer'],
  [/Macintosh/, 'Mac'],
  [/CrOS/, 'Chromebook'],
];

/**
 * What to call a device at first.
 *
 * @example
 * deviceName('Mozilla/5.0 (iPhone; CPU iPhone OS 18_0 like Mac OS X)') // 'iPhone'
 */
export const deviceName = (userAgent: string): string =>
  MACHINES.find(([told]) => told.test(userAgent))?.[1] ?? 'Computer';
