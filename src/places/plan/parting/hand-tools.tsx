'use client';
import Button from '@mui/material/Button';
import { ZONE_LABEL } from '@/core/hair/zone';
import { evenOut } from '@/core/parting/edits/count';
import { edited } from '@/core/parting/edits/edited';
import { evenPart } from '@/core/parting/edits/lines';
import {
  joinable,
  leaveOut,
  markSection,
  mergeSections,
  splitSection,
  unmergeSection,
} from '@/core/parting/edits/sections';
import type { Recipe, SectionMark } from '@/core/parting/recipe';
import type { ToolKindId } from '@/core/techniques/tool-kind';
import { formatArea, formatDiameter } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { toolsFor, type ShelfTool } from '../plan-content';
import styles from './hand-parting.module.css';
import type { HandParting } from './use-hand-parting';

/** Hair that is even to this needs no evening out. */
const EVEN_ENOUGH = 0.01;
const PERCENT = 100;

const share = (cv: number) => (cv < EVEN_ENOUGH ? 'under 1 %' : `${Math.round(cv * PERCENT)} %`);

/** What can be done to a parting by hand: to all of it, and to the section that is picked. */
export function HandTools({
  hand,
  toolKind,
  tools,
  scalpCm2,
  onAnew,
}: {
  hand: HandParting;
  toolKind: ToolKindId | null;
  tools: readonly ShelfTool[];
  scalpCm2: number;
  /** Cuts the head anew; null while nothing was drawn by hand. */
  onAnew: (() => void) | null;
}) {
  const { layout, load, evenness, selected, apply } = hand;
  const { recipe } = layout;
  const hasPart = recipe.part.points.length > 0;
  return (
    <div className={styles.tools} role="group" aria-label="Parting by hand">
      <div className={styles.line}>
        <span role="status">
          Hair even to <b>{share(evenness.loadCv)}</b>
          {evenness.odd.length > 0 &&
            `; look at ${evenness.odd.slice(0, 4).join(', ')}${evenness.odd.length > 4 ? ' and others' : ''}`}
          {evenness.mirrorCm !== null &&
            evenness.mirrorCm > 0.3 &&
            `; left and right differ by ${evenness.mirrorCm.toFixed(1)} cm`}
        </span>
        <Button
          size="small"
          disabled={evenness.loadCv < EVEN_ENOUGH}
          onClick={() => apply(edited(evenOut(recipe, load)))}
        >
          Even out
        </Button>
        {hasPart && (
          <Button size="small" onClick={() => apply(evenPart(recipe, load))}>
            Even by moving the part
          </Button>
        )}
        {recipe.exclude.length > 0 && (
          <Button
            size="small"
            onClick={() => apply(edited({ ...recipe, exclude: recipe.exclude.slice(0, -1) }))}
          >
            Put back what was left out last
          </Button>
        )}
        {onAnew && (
          <Button size="small" onClick={onAnew}>
            Part anew
          </Button>
        )}
      </div>
      {selected ? (
        <SectionTools hand={hand} toolKind={toolKind} tools={tools} areaCm2={selected.share * scalpCm2} />
      ) : (
        <p className={styles.hint}>
          Pick a section to move its lines, split it, join it, turn it or leave it out.
        </p>
      )}
      {layout.unplaced.length > 0 && (
        <p className={styles.problem}>
          {layout.unplaced.length === 1 ? 'One choice' : `${layout.unplaced.length} choices`} for sections
          that are gone {layout.unplaced.length === 1 ? 'is' : 'are'} kept but not used.
        </p>
      )}
      {hand.problem && (
        <p className={styles.problem} role="alert">
          {hand.problem.charAt(0).toUpperCase() + hand.problem.slice(1)}.
        </p>
      )}
    </div>
  );
}

function SectionTools({
  hand,
  toolKind,
  tools,
  areaCm2,
}: {
  hand: HandParting;
  toolKind: ToolKindId | null;
  tools: readonly ShelfTool[];
  areaCm2: number;
}) {
  const { units } = useUnits();
  const { layout, load, apply } = hand;
  const selected = hand.selected!;
  const { key, number } = selected;
  const { recipe } = layout;
  const mark: SectionMark = recipe.marks[key] ?? {};
  const sizes = toolsFor(tools, toolKind);
  const decide = (change: SectionMark) => apply(edited(markSection(recipe, key, change)));
  return (
    <div className={styles.line}>
      <b>
        Section {number}, {ZONE_LABEL[selected.zone]}, {formatArea(areaCm2, units)}
      </b>
      <Button size="small" onClick={() => apply(splitSection(layout, key, load))}>
        Split
      </Button>
      <Choice
        label="Join with"
        value=""
        options={[
          { value: '', label: 'Join with…' },
          ...joinable(layout, key).map((other) => ({ value: other.key, label: `section ${other.number}` })),
        ]}
        onChange={(other) => other && apply(mergeSections(layout, key, other))}
      />
      {recipe.merges.some((keys) => keys.join('+') === key) && (
        <Button size="small" onClick={() => apply(unmergeSection(layout, key))}>
          Take apart
        </Button>
      )}
      <Choice
        label="Direction"
        value={mark.dir ?? ''}
        options={[
          { value: '', label: 'turned as usual' },
          { value: 'away', label: 'away from the face' },
          { value: 'left', label: 'to the left' },
          { value: 'right', label: 'to the right' },
        ]}
        onChange={(dir) => decide({ dir: (dir || undefined) as SectionMark['dir'] })}
      />
      {toolKind && sizes.length > 0 && (
        <Choice
          label="Tool size"
          value={mark.tool ?? ''}
          options={[
            { value: '', label: 'size as planned' },
            ...sizes.map(({ diameterMm }) => ({
              value: `${toolKind}-${diameterMm}`,
              label: formatDiameter(diameterMm, units),
            })),
          ]}
          onChange={(tool) => decide({ tool: tool || undefined })}
        />
      )}
      <Choice
        label="Product side"
        value={mark.product ?? ''}
        options={[
          { value: '', label: 'same product' },
          { value: 'A', label: 'side A' },
          { value: 'B', label: 'side B' },
        ]}
        onChange={(product) => decide({ product: product || undefined })}
      />
      <Button size="small" onClick={() => apply(leaveOut(layout, key))}>
        Leave out
      </Button>
    </div>
  );
}

function Choice({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: string;
  options: readonly { readonly value: string; readonly label: string }[];
  onChange: (value: string) => void;
}) {
  return (
    <select
      className={styles.choice}
      aria-label={label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    >
      {options.map((option) => (
        <option key={option.value} value={option.value}>
          {option.label}
        </option>
      ))}
    </select>
  );
}

/** What was decided for a section, for its label on the map: its product side. */
export const sideOf = (recipe: Recipe, key: string): string => recipe.marks[key]?.product ?? '';
