'use client';
import Button from '@mui/material/Button';
import type { PlanFile } from '@/core/formats/plan-file';
import { nextRodUp } from '@/core/techniques/rod-fit';
import type { Bundle } from '@/core/techniques/bundle';
import { ChoiceList } from '@/ui/fields/choice-list';
import { NumberField } from '@/ui/fields/number-field';
import { formatDiameter } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { toolOf, type DraftSet, type ShelfRod } from '../plan-content';
import styles from './rod-choice.module.css';

type DraftTool = NonNullable<DraftSet['tool']>;
const OTHER = 'other';

/** The rod sizes in the drawer, or one measured by hand, with how the hair fits on the one chosen. */
export function RodChoice({
  tool,
  rods,
  plan,
  fullestBundle,
  onChange,
}: {
  tool: DraftTool | null;
  rods: readonly ShelfRod[];
  plan: PlanFile | null;
  fullestBundle: Bundle | null;
  onChange: (tool: DraftTool) => void;
}) {
  const { units } = useUnits();
  const chosen = rods.find(
    (rod) => rod.diameterMm === tool?.diameterMm && rod.workingLengthMm === tool?.workingLengthMm,
  );
  const fit = plan?.tool;
  const next = fit && !fit.fits && fullestBundle ? nextRodUp(fullestBundle, rods) : null;
  return (
    <>
      <ChoiceList
        legend="Rod size"
        value={chosen?.id ?? OTHER}
        choices={[
          ...rods.map((rod) => ({
            value: rod.id,
            label: formatDiameter(rod.diameterMm, units),
            hint: (
              <>
                <svg className={styles.swatch} viewBox="0 0 20 10" aria-hidden="true">
                  <rect x="0.500" y="1" width="19" height="8" rx="4" fill={rod.swatch} stroke="#2b1a14" />
                </svg>
                {rod.owned} in the drawer
              </>
            ),
          })),
          { value: OTHER, label: 'Another size' },
        ]}
        onChange={(id) => {
          const rod = rods.find((own) => own.id === id);
          onChange(rod ? toolOf(rod) : { diameterMm: 18, workingLengthMm: 80, owned: 0 });
        }}
      />
      {!chosen && tool && (
        <>
          <NumberField
            label="Diameter"
            unit="mm"
            value={tool.diameterMm}
            low={3}
            high={80}
            onCommit={(diameterMm) => onChange({ ...tool, diameterMm })}
          />
          <NumberField
            label="Working length"
            unit="mm"
            value={tool.workingLengthMm ?? 80}
            low={20}
            high={300}
            step={5}
            onCommit={(workingLengthMm) => onChange({ ...tool, workingLengthMm })}
          />
        </>
      )}
      {next && (
        <Button variant="outlined" onClick={() => onChange(toolOf(next))}>
          Go up to {formatDiameter(next.diameterMm, units)}
        </Button>
      )}
      {fit && (
        <p className={styles.fit}>
          {fit.fits
            ? `Fits edge to edge. Outgrown in about ${Math.max(1, Math.round(fit.monthsUntilOutgrown))} months or more.`
            : `Does not fit in one layer: ${formatDiameter(Math.ceil(fit.smallestFittingDiameterMm), units)} or larger would.`}
        </p>
      )}
    </>
  );
}
