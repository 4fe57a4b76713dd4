/** Who works in a studio, by what they may do. */
export const ROLES = ['owner', 'stylist', 'assistant'] as const;
export type Role = (typeof ROLES)[number];

const OWNER: readonly Role[] = ['owner'];
const STYLISTS: readonly Role[] = ['owner', 'stylist'];
const ALL: readonly Role[] = ROLES;

/**
 * What can be done with a studio, and who may. One row a permission: every action, query and route asks for one of them
 * by its name, and for no other.
 */
export const permissions = {
  'shown-how': { label: 'see how the studio shows times, lengths and weights', roles: ALL },
  chair: { label: 'run a set at the chair: see it, tap, measure, take pictures of it', roles: ALL },
  read: { label: 'read heads, plans, sets, days of wear, the shelf and findings', roles: STYLISTS },
  compute: { label: 'have forecasts and suggestions worked out', roles: STYLISTS },
  'write-heads': { label: 'write heads and their care down', roles: STYLISTS },
  'write-plans': { label: 'draft, change and book plans', roles: STYLISTS },
  'write-sets': { label: 'change what is recorded of a set', roles: STYLISTS },
  'write-wear': { label: 'rate days of wear, measure pictures, take diaries in', roles: STYLISTS },
  'write-shelf': { label: 'keep products, tools and dryers', roles: STYLISTS },
  'delete-pictures': { label: 'delete pictures for good', roles: STYLISTS },
  learn: { label: 'say by what forecasts are put right', roles: OWNER },
  records: { label: 'merge and delete heads, take tables out and in', roles: OWNER },
  studio: { label: 'change the studio, its calendar and its copies', roles: OWNER },
} as const satisfies Readonly<Record<string, { readonly label: string; readonly roles: readonly Role[] }>>;
export type Permission = keyof typeof permissions;

/** Who may do something, in words: “the owner”, “the owner and stylists”. */
export const whoMay = (permission: Permission): string => {
  const { length } = permissions[permission].roles;
  return length === 1
    ? 'Only the owner'
    : length === 2
      ? 'Only the owner and stylists'
      : 'Everybody who works here';
};

/** Whether a role may do something. */
export const may = (role: Role, permission: Permission): boolean =>
  permissions[permission].roles.includes(role);
