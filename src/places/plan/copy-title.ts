const LONGEST = 80;
const COUNTED = / \((\d+)\)$/;

/** A name for a copy that no other draft has: "Wedding (2)". */
export function copyTitle(title: string, taken: readonly string[]): string {
  const stem = title.replace(COUNTED, '');
  for (let count = 2; ; count++) {
    const mark = ` (${count})`;
    const numbered = stem.slice(0, LONGEST - mark.length) + mark;
    if (!taken.includes(numbered)) return numbered;
  }
}
