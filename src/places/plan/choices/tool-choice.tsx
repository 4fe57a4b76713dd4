'use client';
import Button from '@mui/material/Button';
import { TOOL_RANGES } from '@/core/formats/ranges';
import type { PlanFile } from '@/core/formats/plan-file';
import { nextRodUp } from '@/core/techniques/rod-fit';
import type { HairInSet } from '@/core/techniques/bundle';
import { toolKinds, type ToolKindId } from '@/core/techniques/tool-kind';
import { ChoiceList } from '@/ui/fields/choice-list';
import { NumberField } from '@/ui/fields/number-field';
import { formatDiameter } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { toolOf } from '@/core/draft/shelf-choices';
import type { DraftTool, ShelfTool } from '@/core/draft/draft-brief';
import { listed, plural } from '@/core/words/words';
import { AlternateSize, sizeOf } from './alternate-size';
import styles from './tool-choice.module.css';

const OTHER = 'other';

/** The sizes in the drawer, or one measured by hand, with how the hair fits on the one chosen. */
export function ToolChoice({
  kind,
  tool,
  shelf,
  plan,
  fullestBundle,
  onChange,
}: {
  kind: ToolKindId;
  tool: DraftTool;
  shelf: readonly ShelfTool[];
  plan: PlanFile | null;
  fullestBundle: HairInSet | null;
  onChange: (tool: DraftTool) => void;
}) {
  const { units } = useUnits();
  const { label, noun, lengthLabel, usual, gap } = toolKinds[kind];
  const lengthMm = tool.workingLengthMm ?? usual.workingLengthMm;
  const chosen = shelf.find(
    (size) => size.diameterMm === tool.diameterMm && size.workingLengthMm === lengthMm,
  );
  const fit = plan?.tool;
  const next =
    fit && !fit.fits && fullestBundle && kind !== 'former' ? nextRodUp(fullestBundle, shelf, gap) : null;
  const taken = plan?.tools.filter((size) => size.kind === kind) ?? [];
  const sizesNeeded = listed(
    taken.map(({ diameterMm, needed }) =>
      taken.length === 1
        ? plural(needed, noun[0], noun[1])
        : `${needed} of ${formatDiameter(diameterMm, units)}`,
    ),
  );
  return (
    <>
      <ChoiceList
        legend={`${label}: size`}
        value={chosen?.id ?? OTHER}
        choices={[
          ...shelf.map((size) => ({
            value: size.id,
            label: formatDiameter(size.diameterMm, units),
            hint: (
              <>
                <svg className={styles.swatch} viewBox="0 0 20 10" aria-hidden="true">
                  <rect x="0.500" y="1" width="19" height="8" rx="4" fill={size.swatch} stroke="#2b1a14" />
                </svg>
                {size.owned} in the drawer
              </>
            ),
          })),
          { value: OTHER, label: 'Another size' },
        ]}
        onChange={(id) => {
          const size = shelf.find((one) => one.id === id);
          onChange(
            size
              ? sizeOf(shelf, tool, size.diameterMm)
              : { ...usual, diameterMm: usual.diameterMm + 2, owned: 0 },
          );
        }}
      />
      {!chosen && (
        <>
          <NumberField
            label="Diameter"
            unit="mm"
            value={tool.diameterMm}
            {...TOOL_RANGES.diameterMm}
            onCommit={(diameterMm) => onChange({ ...tool, diameterMm })}
          />
          <NumberField
            label={lengthLabel}
            unit="mm"
            value={lengthMm}
            {...TOOL_RANGES.workingLengthMm}
            step={5}
            onCommit={(workingLengthMm) => onChange({ ...tool, workingLengthMm })}
          />
        </>
      )}
      <AlternateSize tool={tool} shelf={shelf} onChange={onChange} />
      {next && (
        <Button variant="outlined" onClick={() => onChange(toolOf(next))}>
          Go up to {formatDiameter(next.diameterMm, units)}
        </Button>
      )}
      {fit && (
        <p className={styles.fit}>
          {fit.fits
            ? `Fits in one layer, ${sizesNeeded}. Outgrown in about ${Math.max(1, Math.round(fit.monthsUntilOutgrown))} months or more.`
            : `Does not fit in one layer: ${formatDiameter(Math.ceil(fit.smallestFittingDiameterMm), units)} or larger would.`}
        </p>
      )}
    </>
  );
}
