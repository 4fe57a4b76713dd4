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
import { roundPatch } from '@/core/parting/edits/patch';
import type { SectionMark } from '@/core/parting/recipe';
import { productRoles, type RoleId } from '@/core/products';
import type { ToolKindId } from '@/core/techniques/tool-kind';
import { formatArea, formatDiameter, formatLength } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { toolsFor } from '@/core/draft/shelf-choices';
import type { ShelfTool } from '@/core/draft/draft-brief';
import { plural, sentence } from '@/core/words/words';
import styles from './hand-parting.module.css';
import type { HandParting } from './use-hand-parting';

/** Hair that is even to this needs no evening out. */
const EVEN_ENOUGH = 0.01;
const PERCENT = 100;

/** Longer than this against a fresh parting, and a fresh one is offered (parting-map §6). */
const GROWN_LONG = 1.15;
const hasGrownLong = ({ evenness, freshAspect }: HandParting) =>
  freshAspect !== null && evenness.aspect.mean > GROWN_LONG * freshAspect;
/** What a section gets of its dose where it wants less or more. */
const OWN_DOSES = [
  { times: 0.5, label: 'half the dose' },
  { times: 1.5, label: 'dose and a half' },
  { times: 2, label: 'twice the dose' },
] as const;
/** A patch for the keyboard, cm across. */
const PATCHES_CM = [2, 3, 4, 6] as const;

const share = (cv: number) => (cv < EVEN_ENOUGH ? 'under 1 %' : `${Math.round(cv * PERCENT)} %`);

/** What can be done to a parting by hand: to all of it, and to the section that is picked. */
export function HandTools({
  hand,
  toolKind,
  tools,
  roles,
  scalpCm2,
  onAnew,
  isDrawing,
  onDraw,
}: {
  hand: HandParting;
  toolKind: ToolKindId | null;
  tools: readonly ShelfTool[];
  /** Products that go on, by role. */
  roles: readonly RoleId[];
  scalpCm2: number;
  /** Cuts the head anew; null while nothing was drawn by hand. */
  onAnew: (() => void) | null;
  /** Whether a pen draws round what is left out. */
  isDrawing: boolean;
  onDraw: (draws: boolean) => void;
}) {
  const { layout, load, evenness, selected, apply } = hand;
  const { recipe } = layout;
  const hasPart = recipe.part.points.length > 0;
  return (
    <div className={styles.tools} role="group" aria-label="Parting by hand">
      <div className={styles.line}>
        <span role="status">
          Hair in the sections differs by <b>{share(evenness.loadCv)}</b>
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
        <Button size="small" aria-pressed={isDrawing} onClick={() => onDraw(!isDrawing)}>
          {isDrawing ? 'Draw round it now' : 'Draw round what is left out'}
        </Button>
        {onAnew && (
          <Button size="small" onClick={onAnew}>
            Part anew
          </Button>
        )}
      </div>
      {onAnew && hasGrownLong(hand) && (
        <p className={styles.offer}>
          Sections have grown long: {evenness.aspect.mean.toFixed(1)} times as long as wide, against{' '}
          {hand.freshAspect!.toFixed(1)} parted anew.{' '}
          <Button size="small" onClick={onAnew}>
            Part anew
          </Button>
        </p>
      )}
      {selected ? (
        <SectionTools
          hand={hand}
          toolKind={toolKind}
          tools={tools}
          roles={roles}
          areaCm2={selected.share * scalpCm2}
        />
      ) : (
        <p className={styles.hint}>
          Pick a section to move its lines, split it, join it, turn it or leave it out.
        </p>
      )}
      {layout.unplaced.length > 0 && (
        <p className={styles.problem}>
          {plural(layout.unplaced.length, 'choice is', 'choices are')} kept for sections that are gone, and
          not used.
        </p>
      )}
      {hand.problem && (
        <p className={styles.problem} role="alert">
          {sentence(hand.problem)}
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
  roles,
}: {
  hand: HandParting;
  toolKind: ToolKindId | null;
  tools: readonly ShelfTool[];
  areaCm2: number;
  roles: readonly RoleId[];
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
        value={mark.direction ?? ''}
        options={[
          { value: '', label: 'turned as usual' },
          { value: 'away', label: 'away from the face' },
          { value: 'left', label: 'to the left' },
          { value: 'right', label: 'to the right' },
        ]}
        onChange={(dir) => decide({ direction: (dir || undefined) as SectionMark['direction'] })}
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
        label="Dose"
        value={mark.dose === undefined ? '' : String(mark.dose)}
        options={[
          { value: '', label: 'dose as planned' },
          ...OWN_DOSES.map(({ times, label }) => ({ value: String(times), label })),
        ]}
        onChange={(times) => decide({ dose: times === '' ? undefined : Number(times) })}
      />
      {roles.length > 0 && (
        <Choice
          label="Without"
          value={mark.without?.[0] ?? ''}
          options={[
            { value: '', label: 'every product' },
            ...roles.map((role) => ({
              value: role,
              label: `without ${productRoles[role].label.toLowerCase()}`,
            })),
          ]}
          onChange={(role) => decide({ without: role === '' ? undefined : [role] })}
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
      <Choice
        label="Leave a round patch out"
        value=""
        options={[
          { value: '', label: 'leave a patch out…' },
          ...PATCHES_CM.map((cm) => ({ value: String(cm), label: `${formatLength(cm, units)} across` })),
        ]}
        onChange={(cm) => cm && apply(roundPatch(layout, key, Number(cm)))}
      />
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
