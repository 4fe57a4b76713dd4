import type { DrawnSection } from '@/core/parting/drawn-layout';

type Placed = Pick<DrawnSection, 'number' | 'x' | 'y'>;

/**
 * The section that a key moves to: right and left follow the working order, up and down go to the nearest
 * section that way as drawn, Home and End to the first and last. Other keys stay.
 */
export function moveFocus(
  sections: readonly Placed[],
  current: number,
  key: string,
  turned: boolean,
): number {
  const at = sections.findIndex((section) => section.number === current);
  const here = sections[at];
  if (!here) return sections[0]?.number ?? current;
  const last = sections.length - 1;
  switch (key) {
    case 'ArrowRight':
      return sections[Math.min(last, at + 1)]!.number;
    case 'ArrowLeft':
      return sections[Math.max(0, at - 1)]!.number;
    case 'Home':
      return sections[0]!.number;
    case 'End':
      return sections[last]!.number;
    case 'ArrowUp':
    case 'ArrowDown': {
      const up = (key === 'ArrowUp') !== turned ? -1 : 1;
      const ahead = sections
        .filter((section) => (section.y - here.y) * up > 4)
        // Straight ahead counts more than near: sideways distance is doubled.
        .map((section) => ({ section, far: Math.hypot(2 * (section.x - here.x), section.y - here.y) }))
        .sort((a, b) => a.far - b.far);
      return ahead[0]?.section.number ?? current;
    }
    default:
      return current;
  }
}
