/** Moneys that prices can be in; each has a hundred minor units. Add one by adding its ISO 4217 code. */
export const CURRENCIES = ['EUR', 'GBP', 'USD', 'CAD', 'AUD', 'NGN', 'GHS', 'KES', 'ZAR', 'BRL', 'JMD', 'TTD', 'XCD'] as const; // prettier-ignore
export type Currency = (typeof CURRENCIES)[number];

/** Minor units in one of each. */
export const MINOR_UNITS = 100;
