/** Who works in a studio, by what they may do. */
export const ROLES = ['owner', 'stylist', 'assistant'] as const;
export type Role = (typeof ROLES)[number];

const OWNER: readonly Role[] = ['owner'];
const STYLISTS: readonly Role[] = ['owner', 'stylist'];
const ALL: readonly Role[] = ROLES;

/**
 * What can be done with a studio, and who may. One row a permission: every action, query and route asks for one of them
 * by its name, and for no other. What is done by it is noted with whoever did it; what is read, worked out, tapped at the
 * chair or shown to oneself is not.
 */
export const permissions = {
  'shown-how': {
    label: 'see how the studio shows times, lengths and weights',
    done: null,
    roles: ALL,
  },
  own: { label: 'change how things are shown to oneself', done: null, roles: ALL },
  chair: {
    label: 'run a set at the chair: see it, tap, measure, take pictures of it',
    done: null,
    roles: ALL,
  },
  read: {
    label: 'read heads, plans, sets, days of wear, the shelf and findings',
    done: null,
    roles: STYLISTS,
  },
  compute: {
    label: 'have forecasts and suggestions worked out',
    done: null,
    roles: STYLISTS,
  },
  'write-heads': { label: 'write heads and their care down', done: 'wrote on a head', roles: STYLISTS },
  'write-plans': { label: 'draft, change and book plans', done: 'worked on a plan', roles: STYLISTS },
  'write-sets': { label: 'change what is recorded of a set', done: 'changed a set', roles: STYLISTS },
  'write-wear': {
    label: 'rate days of wear, measure pictures, take diaries in',
    done: 'wrote a day of wear',
    roles: STYLISTS,
  },
  'write-shelf': { label: 'keep products, tools and dryers', done: 'changed the shelf', roles: STYLISTS },
  'delete-pictures': { label: 'delete pictures for good', done: 'deleted a picture', roles: STYLISTS },
  learn: {
    label: 'say by what forecasts are put right',
    done: 'changed what forecasts are put right by',
    roles: OWNER,
  },
  records: {
    label: 'merge and delete heads, take tables out and in',
    done: 'merged or deleted a head, or moved tables',
    roles: OWNER,
  },
  studio: {
    label: 'change the studio, its calendar and its copies',
    done: 'changed the studio or its copies',
    roles: OWNER,
  },
  people: { label: 'let people, phones and clients in', done: 'changed who comes in', roles: OWNER },
} as const satisfies Readonly<
  Record<string, { readonly label: string; readonly done: string | null; readonly roles: readonly Role[] }>
>;
export type Permission = keyof typeof permissions;

/** Whether it is noted who did something by this permission, and when. */
export const isNoted = (permission: Permission): boolean => permissions[permission].done !== null;

/** The lower of two roles: what a person may do on a device. */
export const lowerRole = (one: Role, other: Role): Role =>
  ROLES[Math.max(ROLES.indexOf(one), ROLES.indexOf(other))]!;

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
