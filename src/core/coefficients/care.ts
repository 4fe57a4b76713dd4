import { coefficients } from './coefficient';

/** How often hair is cared for, how it grows, and when what was measured is doubted (evidence §7). */
export const care = coefficients({
  washLooseDays: [7, 'days', 5, 10, 'C', 'from wash to wash, worn loose'],
  washInTwistsDays: [14, 'days', 10, 14, 'C', 'from wash to wash while twists or braids stay in, at most'],
  fewestIntervals: [3, 'intervals', 2, 5, 'A', 'washes apart before her own rhythm counts'],
  lastIntervals: [5, 'intervals', 3, 8, 'A', 'newest intervals that a rhythm is the median of'],
  slowestGrowth: [0.25, 'mm/day', 0.2, 0.3, 'M', 'growth of coily scalp hair, reported low'],
  growth: [0.3, 'mm/day', 0.25, 0.35, 'M', 'growth that a head is assumed to have'],
  fastestGrowth: [0.4, 'mm/day', 0.35, 0.45, 'M', 'growth of scalp hair, high'],
  poorRetention: [0.6, 'share', 0.5, 0.7, 'C', 'length kept of what grew, under which ends break'],
  oddRetention: [
    1.15,
    'share',
    1.1,
    1.3,
    'A',
    'length kept of what grew, above which measuring or growth differs',
  ],
  fewestLengths: [4, 'measurements', 4, 6, 'A', 'before an interval of growth is told'],
  shortestSpan: [60, 'days', 60, 120, 'A', 'between the first and last of them'],
  trimSpan: [90, 'days', 60, 120, 'A', 'between the first and last before poor retention asks for a trim'],
  tapeMm: [5, 'mm', 2, 10, 'A', 'a tape is read no finer than this: less is never asked about'],
  oddLengthMad: [
    3,
    '× median deviation',
    2.5,
    4,
    'A',
    'off the line from which a measurement is asked about',
  ],
  measureAfterDays: [35, 'days', 28, 60, 'A', 'until a head is measured again: it grows about a centimetre'],
  trimWeeks: [12, 'weeks', 8, 26, 'C', 'from trim to trim where the stylist says nothing'],
});
