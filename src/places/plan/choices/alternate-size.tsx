'use client';
import type { Units } from '@/core/formats/display';
import type { DraftTool, ShelfTool } from '@/core/draft/draft-brief';
import { toolOf } from '@/core/draft/shelf-choices';
import { SelectField } from '@/ui/fields/select-field';
import { formatDiameter } from '@/ui/format';
import { useUnits } from '@/ui/units-context';

/** Diameters of the drawer, and the one in use where it is none of them. */
export function sizeOptions(
  shelf: readonly ShelfTool[],
  now: { readonly diameterMm: number } | null | undefined,
  units: Units,
) {
  const known = new Set(shelf.map(({ diameterMm }) => diameterMm));
  if (now) known.add(now.diameterMm);
  return [...known]
    .sort((a, b) => a - b)
    .map((mm) => ({ value: String(mm), label: formatDiameter(mm, units) }));
}

/** A tool in another diameter; what takes turns with it stays. */
export function sizeOf(shelf: readonly ShelfTool[], now: DraftTool | null, diameterMm: number): DraftTool {
  const kept = shelf.find((tool) => tool.diameterMm === diameterMm);
  const size = kept ? toolOf(kept) : { diameterMm };
  return now?.alternate && now.alternate.diameterMm !== diameterMm
    ? { ...size, alternate: now.alternate }
    : size;
}

/** "16 mm", or "16 mm and 20 mm in turn". */
export const sizeWords = ({ diameterMm, alternate }: DraftTool, units: Units): string =>
  alternate
    ? `${formatDiameter(diameterMm, units)} and ${formatDiameter(alternate.diameterMm, units)} in turn`
    : formatDiameter(diameterMm, units);

/** The size that every other section takes. */
export function AlternateSize({
  label = 'Every other section',
  tool,
  shelf,
  onChange,
}: {
  readonly label?: string;
  readonly tool: DraftTool;
  readonly shelf: readonly ShelfTool[];
  readonly onChange: (tool: DraftTool) => void;
}) {
  const { units } = useUnits();
  const { alternate, ...size } = tool;
  return (
    <SelectField
      label={label}
      value={alternate ? String(alternate.diameterMm) : ''}
      options={[
        { value: '', label: 'the same size' },
        ...sizeOptions(shelf, alternate, units).filter(({ value }) => value !== String(tool.diameterMm)),
      ]}
      onChange={(mm) => onChange(mm === '' ? size : { ...size, alternate: sizeOf(shelf, null, Number(mm)) })}
    />
  );
}
