/** The places of the product, in the order of the work. The one list that navigation is built from. */
export const PLACES = [
  { href: '/', label: 'Today', icon: 'today' },
  { href: '/heads', label: 'Heads', icon: 'heads' },
  { href: '/plan', label: 'Plan', icon: 'plan' },
  { href: '/chair', label: 'Chair', icon: 'chair' },
  { href: '/wear', label: 'Wear', icon: 'wear' },
  { href: '/shelf', label: 'Shelf', icon: 'shelf' },
] as const;
