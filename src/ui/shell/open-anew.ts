/**
 * Opens a page of the program from the ground up, in the place of this one: nothing of whoever was here before stays in it, and
 * Back leads to no code or name that was asked for once.
 */
export const openAnew = (path: string): void => location.replace(path);
