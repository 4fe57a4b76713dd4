import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { scalpAreaCm2 } from '@/core/hair/head';
import { drawnPatch } from '@/core/parting/edits/patch';
import { MAX_SECTIONS, MIN_SECTIONS } from '@/core/parting/generate';
import type { AnsweredView } from '@/core/plan/answer-view';
import { RADIUS_CM_PER_CIRCUMFERENCE_CM } from '@/core/sphere/crown-chart';
import { techniqueOf } from '@/core/techniques';
import { CrownMap } from '@/ui/crown-map/crown-map';
import type { SectionState } from '@/ui/crown-map/section-state';
import { formatArea } from '@/ui/format';
import { FlipIcon, MinusIcon, PlusIcon } from '@/ui/icons';
import { useUnits } from '@/ui/units-context';
import { HandTools } from '../parting/hand-tools';
import { MapHandles } from '../parting/map-handles';
import { PatchPen } from '../parting/patch-pen';
import { useHandParting, type HandParting } from '../parting/use-hand-parting';
import { meanSectionCm2, motifOfSection, partingWords, sectionsLabel } from '@/core/draft/labels';
import { oneSection, partedAnew } from '@/core/draft/edits';
import { toolKindOfSet } from '@/core/draft/shelf-choices';
import type { DraftBrief, ShelfTool } from '@/core/draft/draft-brief';
import type { DeskAct, DeskView } from './desk-view';
import styles from '../plan-desk.module.css';

const PICKED: SectionState = { kind: 'in-hand' };
const UNPICKED: SectionState = { kind: 'plain' };
/** Hairs are told to the hundred: nobody counted them. */
const HAIR_GRAIN = 100;

export interface DeskMapProps {
  readonly brief: DraftBrief;
  readonly answer: AnsweredView | null;
  /** Whether the answer is of this brief; until it is, nothing is edited by hand. */
  readonly isCurrent: boolean;
  readonly head: { readonly skinTone: string; readonly hairTone: string };
  readonly tools: readonly ShelfTool[];
  readonly view: DeskView;
  readonly onView: (act: DeskAct) => void;
  readonly onChange: (part: Partial<DraftBrief>) => void;
}

/** The crown map: sections as they are parted, one more or fewer, and lines drawn by hand. */
export function DeskMap({ brief, answer, isCurrent, head, tools, view, onView, onChange }: DeskMapProps) {
  const { units } = useUnits();
  const lines = answer?.recipe ?? null;
  const hand = useHandParting(view.isByHand, brief, lines, isCurrent, onChange);
  const plan = answer?.view.plan ?? null;
  const technique = techniqueOf(brief.set.technique);
  const count = brief.set.sections ?? technique.usualSections;
  const step = (by: 1 | -1) => onChange(oneSection(brief, count, by, isCurrent ? lines : null));
  const shown = hand ?? answer;
  return (
    <section className={styles.map} aria-label="Crown map">
      <span className={styles.flip}>
        <IconButton
          aria-label={view.isTurned ? 'See from behind the chair' : 'See facing the client'}
          onClick={() => onView({ kind: 'turn' })}
        >
          <FlipIcon />
        </IconButton>
      </span>
      <Button
        className={styles.byHand}
        size="small"
        variant={view.isByHand ? 'contained' : 'outlined'}
        aria-pressed={view.isByHand}
        disabled={!answer}
        onClick={() => onView({ kind: 'by-hand' })}
      >
        Part by hand
      </Button>
      <Button
        className={styles.round3d}
        size="small"
        variant="outlined"
        disabled={!plan}
        onClick={() => onView({ kind: 'open', sheet: 'round' })}
      >
        In the round
      </Button>
      <div className={styles.drawing}>
        {shown && (
          <CrownMap
            name={`${technique.label}, ${shown.drawn.length} sections, ${partingWords(brief.parting ?? {}).join(', ')}`}
            sections={shown.drawn}
            skin={head.skinTone}
            hair={head.hairTone}
            motifOf={(number) => motifOfSection(plan?.sections ?? [], number)}
            partPath={shown.partPath}
            turned={view.isTurned}
            {...(hand ? editing(hand, view, onView) : {})}
            detailOf={(section) => {
              const planned = plan?.sections[section.number - 1];
              return planned
                ? `${formatArea(planned.areaCm2, units)}, about ${(Math.round(planned.hairCount / HAIR_GRAIN) * HAIR_GRAIN).toLocaleString('en-GB')} hairs`
                : '';
            }}
          />
        )}
      </div>
      <div className={styles.stepper}>
        <IconButton
          className={styles.round}
          aria-label="One section fewer"
          disabled={count <= MIN_SECTIONS}
          onClick={() => step(-1)}
        >
          <MinusIcon />
        </IconButton>
        <strong>{sectionsLabel(brief.set)}</strong>
        <IconButton
          className={styles.round}
          aria-label="One section more"
          disabled={count >= MAX_SECTIONS}
          onClick={() => step(1)}
        >
          <PlusIcon />
        </IconButton>
        {plan && <span>{formatArea(meanSectionCm2(plan, brief.set.technique), units)} each</span>}
      </div>
      {hand && (
        <HandTools
          hand={hand}
          toolKind={toolKindOfSet(brief.set)}
          tools={tools}
          roles={[...new Set((brief.set.layers ?? []).map(({ role }) => role))]}
          scalpCm2={scalpAreaCm2(hand.layout.recipe.circumferenceCm)}
          isDrawing={view.isDrawing}
          onDraw={(isDrawing) => onView({ kind: 'draw', isDrawing })}
          onAnew={brief.parting?.recipe ? () => onChange({ parting: partedAnew(brief) }) : null}
        />
      )}
    </section>
  );
}

/** What the map does and shows while it is parted by hand: what is picked, handles or a pen. */
const editing = (hand: HandParting, { isTurned, isDrawing }: DeskView, onView: (act: DeskAct) => void) => ({
  stateOf: (number: number) => (number === hand.selected?.number ? PICKED : UNPICKED),
  onPick: hand.select,
  overlay: isDrawing ? (
    <PatchPen
      turned={isTurned}
      onDrawn={(points) => {
        onView({ kind: 'draw', isDrawing: false });
        hand.apply(drawnPatch(hand.layout, points));
      }}
      onCancel={() => onView({ kind: 'draw', isDrawing: false })}
    />
  ) : (
    <MapHandles
      hand={hand}
      turned={isTurned}
      radiusCm={RADIUS_CM_PER_CIRCUMFERENCE_CM * hand.layout.recipe.circumferenceCm}
    />
  ),
});
