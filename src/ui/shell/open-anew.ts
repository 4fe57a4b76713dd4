/** Opens a page of the program from the ground up: nothing of whoever was here before stays in this one. */
export const openAnew = (path: string): void => location.assign(path);
