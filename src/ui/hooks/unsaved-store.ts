const keyOf = (name: string) => `keen.unsaved.${name}`;

/**
 * What is typed and not kept yet, in this tab alone: it lives through Back, links and reloads, and is gone with the tab.
 * Nothing about people is left on the device.
 */
export function readUnsaved<T>(name: string): Partial<T> | null {
  try {
    const text = sessionStorage.getItem(keyOf(name));
    const kept: unknown = text === null ? null : JSON.parse(text);
    return kept !== null && typeof kept === 'object' ? (kept as Partial<T>) : null;
  } catch {
    return null;
  }
}

export function writeUnsaved(name: string, value: object): void {
  try {
    sessionStorage.setItem(keyOf(name), JSON.stringify(value));
  } catch {
    // Then leaving the page asks, and that is all that can be done.
  }
}

export const dropUnsaved = (name: string): void => sessionStorage.removeItem(keyOf(name));
