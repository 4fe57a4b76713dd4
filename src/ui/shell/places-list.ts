/** The places of the product, in the order of the work; those for all are for assistants too. The one list that navigation and help are built from. */
export const PLACES = [
  {
    href: '/',
    label: 'Today',
    icon: 'today',
    isForAll: false,
    isFor:
      'What needs hands now: who is in the chair, what dries, whose day is not entered, what runs short.',
  },
  {
    href: '/heads',
    label: 'Heads',
    icon: 'heads',
    isForAll: false,
    isFor:
      'Who you set: measurements, what to mind, plans and every set so far. Put away, merge or delete a head here.',
  },
  {
    href: '/plan',
    label: 'Plan',
    icon: 'plan',
    isForAll: false,
    isFor:
      'Sets ahead: choose, and see at once when it dries, how long it takes, what it needs and how long it lasts.',
  },
  {
    href: '/chair',
    label: 'Chair',
    icon: 'chair',
    isForAll: true,
    isFor: 'Run a set: tally sections, keep pace, mist, watch it dry, feel, and take it down.',
  },
  {
    href: '/wear',
    label: 'Wear',
    icon: 'wear',
    isForAll: false,
    isFor: 'Styles being worn: one entry a day, and the last good day when it is given up.',
  },
  {
    href: '/sets',
    label: 'Sets',
    icon: 'sets',
    isForAll: false,
    isFor: 'Every set, past and present, to find, compare with its forecast, put right, or do again.',
  },
  {
    href: '/findings',
    label: 'Findings',
    icon: 'findings',
    isForAll: false,
    isFor:
      'What your own log says: what lasts, what made the difference, half-head trials, and whether forecasts held.',
  },
  {
    href: '/shelf',
    label: 'Shelf',
    icon: 'shelf',
    isForAll: false,
    isFor: 'Products, rods and own mixes: what is left, what booked sets will need, what a set costs.',
  },
] as const;

export type Place = (typeof PLACES)[number];
