import type { Role } from '@/core/people/permission';

/** What a role is called, and what it is for. */
export const ROLE_WORDS: Readonly<Record<Role, { readonly label: string; readonly hint: string }>> = {
  owner: { label: 'Owner', hint: 'Everything: people, phones, the studio and its copies' },
  stylist: { label: 'Stylist', hint: 'Heads, plans, sets, days of wear and the shelf' },
  assistant: { label: 'Assistant', hint: 'The chair only: see a set, tap, measure, take pictures of it' },
};
