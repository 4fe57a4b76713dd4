'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { Checked, FieldError } from '@/core/formats/field-error';
import type { AnsweredView } from '@/core/plan/answer-view';
import { STRAND_UM } from '@/core/coefficients/hair';
import { perZone, ZONES } from '@/core/hair/zone';
import { MAX_SECTIONS, MIN_SECTIONS } from '@/core/parting/generate';
import { techniqueOf } from '@/core/techniques';
import { CrownMap } from '@/ui/crown-map/crown-map';
import { formatArea, formatMinutes, localTimeOf } from '@/ui/format';
import { FlipIcon, MinusIcon, PlusIcon, RedoIcon, UndoIcon } from '@/ui/icons';
import { Ribbon } from '@/ui/ribbon/ribbon';
import { useUnits } from '@/ui/units-context';
import type { ChosenSchools, SchoolQuestionId } from '@/core/advice/schools';
import type { WeighedUnits } from '@/core/products/hand-units';
import { PART_LABEL } from '@/core/parting/pattern';
import { bookPlan, readMeasurement, rememberSchool, saveHandUnits, startSet } from './actions';
import { PlanChoices } from './choices/plan-choices';
import { drawnPatch } from '@/core/parting/edits/patch';
import { scalpAreaCm2 } from '@/core/hair/head';
import { RADIUS_CM_PER_CIRCUMFERENCE_CM } from '@/core/sphere/crown-chart';
import type { SectionState } from '@/ui/crown-map/section-state';
import { allergyMatches } from '@/core/shelf/allergy';
import { checkShelf, isShort } from '@/core/shelf/shelf-check';
import { FromTheShelf } from './from-the-shelf';
import { comparedPlan } from './difference-words';
import { ForecastPanel } from './forecast-panel';
import {
  motifOfSection,
  meanSectionCm2,
  oneSection,
  partedAnew,
  sectionsLabel,
  stretched,
  toolKindOfSet,
  wholeSetLabel,
  withOption,
  withSchool,
  type DraftBrief,
  type PlanContent,
  type ShelfProduct,
  type ShelfTool,
} from './plan-content';
import { HandTools } from './parting/hand-tools';
import { PatchPen } from './parting/patch-pen';
import { MapHandles } from './parting/map-handles';
import { useHandParting } from './parting/use-hand-parting';
import styles from './plan-desk.module.css';
import { useDraft, type KeptState } from './use-draft';
import { useForecast } from './use-forecast';

export interface PlanDeskProps {
  readonly id: string;
  readonly content: PlanContent;
  readonly revision: number;
  readonly schools: ChosenSchools;
  readonly head: {
    id: string;
    name: string;
    description: string;
    allergies: string;
    skinTone: string;
    hairTone: string;
  };
  readonly isBooked: boolean;
  readonly hasNewerMeasurement: boolean;
  readonly products: readonly ShelfProduct[];
  readonly tools: readonly ShelfTool[];
  readonly reserved: readonly (readonly [string, number])[];
  readonly currency: string;
  readonly handUnits: WeighedUnits;
  readonly timeZone: string;
  readonly first: Checked<AnsweredView>;
  readonly nowMs: number;
}

const FitDialog = dynamic(() => import('./fit/fit-dialog').then((module) => module.FitDialog));

const RoundDialog = dynamic(() => import('./round/round-dialog').then((module) => module.RoundDialog), {
  ssr: false,
});
const SheetDialog = dynamic(() => import('./sheet/sheet-dialog').then((module) => module.SheetDialog));

const PICKED: SectionState = { kind: 'in-hand' };
const UNPICKED: SectionState = { kind: 'plain' };

const KEPT_WORDS: Readonly<Record<KeptState, string>> = {
  kept: 'kept',
  keeping: 'keeping…',
  offline: 'no connection, trying again',
  refused: 'not kept yet',
};

/** The place where a set is planned: choices, crown map, forecast, and the ribbon drawn back from the pin. */
export function PlanDesk(props: PlanDeskProps) {
  const draft = useDraft(props.id, props.content, props.revision);
  const { content, edit, undo, redo } = draft;
  const { brief } = content;
  const live = useForecast(brief, props.first);
  const { units } = useUnits();
  const router = useRouter();
  const [turned, setTurned] = useState(false);
  const [isByHand, setByHand] = useState(false);
  const [isDrawing, setDrawing] = useState(false);
  const [isFitting, setFitting] = useState(false);
  const [isRound, setRound] = useState(false);
  const [isPrinting, setPrinting] = useState(false);
  const [refusals, setRefusals] = useState<readonly FieldError[]>([]);
  const [isNewer, setNewer] = useState(props.hasNewerMeasurement);
  const [isBooked, setBooked] = useState(props.isBooked);
  const [isStarting, setStarting] = useState(false);
  const [schools, setSchools] = useState(props.schools);
  const [handUnits, setHandUnits] = useState(props.handUnits);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
      const target = event.target as HTMLElement | null;
      if (target?.matches('input, textarea, select')) return;
      event.preventDefault();
      if (event.shiftKey) redo();
      else undo();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [undo, redo]);

  const changeBrief = (part: Partial<DraftBrief>) => edit({ ...content, brief: { ...brief, ...part } });
  const lines = live.answer?.recipe ?? null;
  const isCurrent = live.answered === brief;
  const hand = useHandParting(isByHand, brief, lines, isCurrent, changeBrief);
  const plan = live.answer?.view.plan ?? null;
  const shelf =
    plan &&
    checkShelf(
      plan,
      content.layerProductIds,
      props.products,
      props.tools,
      new Map(props.reserved),
      brief.wearBy?.slice(0, 10) ?? null,
    );
  const allergies = allergyMatches(
    props.head.allergies,
    props.products.filter(({ id }) => content.layerProductIds.includes(id)),
  );
  const technique = techniqueOf(brief.set.technique);
  const count = brief.set.sections ?? technique.usualSections;
  const step = (by: 1 | -1) => changeBrief(oneSection(brief, count, by, isCurrent ? lines : null));
  const lengths = brief.head.stretchedLengthCm;
  const meanLengthCm =
    typeof lengths === 'number'
      ? lengths
      : plan
        ? plan.sections.reduce((sum, s) => sum + s.hairCount * lengths[s.zone], 0) / plan.hair.hairCount
        : ZONES.reduce((sum, zone) => sum + lengths[zone], 0) / ZONES.length;
  const stop = plan?.cautions.find((caution) => caution.severity === 'stop');
  const firstBlock = live.answer?.view.blocks[0];
  const lateMin = firstBlock ? (props.nowMs - firstBlock.startMs) / 60_000 : 0;

  const take = async () => {
    setStarting(true);
    await draft.keep();
    const answer = await startSet({ id: props.id });
    if (answer.ok) router.push(`/chair/${answer.value.id}`);
    else {
      setRefusals(answer.errors);
      setStarting(false);
    }
  };
  const book = async () => {
    const answer = await bookPlan({ id: props.id, isBooked: !isBooked });
    if (answer.ok) setBooked(answer.value.isBooked);
    else setRefusals(answer.errors);
  };
  const takeSchool = (question: SchoolQuestionId, school: string) => {
    setSchools((before) => ({ ...before, [question]: school }));
    edit(withSchool(content, question, school));
    void rememberSchool({ headId: props.head.id, question, school }).catch(() => undefined);
  };
  const weigh = async (weighed: WeighedUnits) => {
    setHandUnits(weighed);
    const answer = await saveHandUnits({ handUnits: weighed });
    if (!answer.ok) setRefusals(answer.errors);
  };
  const takeNewMeasurement = async () => {
    const answer = await readMeasurement({ id: props.id });
    if (!answer.ok) return setRefusals(answer.errors);
    edit({ ...content, brief: { ...brief, head: answer.value.head } });
    setNewer(false);
  };

  return (
    <div className={styles.desk}>
      <h1 className="visually-hidden">{content.title}</h1>
      <header className={styles.bar}>
        <input
          className={styles.title}
          aria-label="Name of the plan"
          value={content.title}
          maxLength={80}
          onChange={(event) => edit({ ...content, title: event.target.value })}
        />
        <Link className={styles.chip} href={`/heads/${props.head.id}`}>
          {[props.head.name, props.head.description].filter(Boolean).join(', ')}
        </Link>
        <span className={styles.grow} />
        <span className={styles.kept} role="status">
          {KEPT_WORDS[draft.kept]}
        </span>
        <IconButton aria-label="Undo" onClick={undo} disabled={!draft.canUndo}>
          <UndoIcon />
        </IconButton>
        <IconButton aria-label="Redo" onClick={redo} disabled={!draft.canRedo}>
          <RedoIcon />
        </IconButton>
        <Button
          variant="outlined"
          onClick={async () => {
            await draft.keep();
            router.push(`/plan/${props.id}/beside`);
          }}
        >
          Compare
        </Button>
        <Button variant="outlined" onClick={() => setFitting(true)}>
          Fit to my time
        </Button>
        <Button
          variant="outlined"
          disabled={!plan}
          onClick={async () => {
            await draft.keep();
            setPrinting(true);
          }}
        >
          Sheet
        </Button>
        <Button variant="outlined" aria-pressed={isBooked} onClick={book}>
          {isBooked ? 'Booked' : 'Book it'}
        </Button>
        <Button
          variant="contained"
          onClick={take}
          disabled={isStarting || !plan || stop !== undefined || draft.conflict}
        >
          Take to the chair
        </Button>
      </header>

      <div className={styles.alerts}>
        {draft.conflict && (
          <Alert
            severity="warning"
            action={
              <>
                <Button size="small" onClick={() => void draft.resolveConflict('theirs')}>
                  Take the other
                </Button>
                <Button size="small" onClick={() => void draft.resolveConflict('mine')}>
                  Keep this one
                </Button>
              </>
            }
          >
            This plan was changed in another tab. What you see here is not lost: choose which one to keep.
          </Alert>
        )}
        {[...live.errors, ...draft.errors, ...refusals].slice(0, 3).map((error) => (
          <Alert severity="warning" key={`${error.path}/${error.message}`}>
            {error.message.charAt(0).toUpperCase() + error.message.slice(1)}.
          </Alert>
        ))}
        {isNewer && (
          <Alert
            severity="info"
            action={
              <Button size="small" onClick={takeNewMeasurement}>
                Use the new ones
              </Button>
            }
          >
            {props.head.name} was measured again since this plan was made.
          </Alert>
        )}
        {lateMin > 1 && (
          <Alert severity="info">
            To be ready by then you would have had to start {formatMinutes(lateMin)} ago. A later time, a
            hood, or more and smaller sections would help.
          </Alert>
        )}
      </div>

      {isRound && plan && live.answer && (
        <RoundDialog
          source={{
            plan,
            stretchedCm: perZone((zone) => (typeof lengths === 'number' ? lengths : lengths[zone])),
            circumferenceCm: brief.head.circumferenceCm ?? 56,
            strandUm: brief.head.strandDiameterUm ?? STRAND_UM.medium,
            separations: brief.wear?.separations ?? 2,
          }}
          sections={live.answer.drawn}
          partPath={live.answer.partPath}
          skin={props.head.skinTone}
          hair={props.head.hairTone}
          onClose={() => setRound(false)}
        />
      )}
      {isPrinting && <SheetDialog planId={props.id} onClose={() => setPrinting(false)} />}
      {isFitting && (
        <FitDialog
          brief={brief}
          tools={props.tools}
          now={plan && comparedPlan(plan)}
          onTake={(option) => {
            changeBrief(withOption(brief, option));
            setFitting(false);
          }}
          onClose={() => setFitting(false)}
        />
      )}

      <section className={styles.choices} aria-label="Choices">
        <PlanChoices
          content={content}
          plan={plan}
          fullestBundle={live.answer?.view.fullestBundle ?? null}
          products={props.products}
          tools={props.tools}
          handUnits={handUnits}
          schools={schools}
          onSchool={takeSchool}
          onWeighed={weigh}
          onChange={edit}
        />
      </section>

      <section className={styles.map} aria-label="Crown map">
        <span className={styles.flip}>
          <IconButton
            aria-label={turned ? 'See from behind the chair' : 'See facing the client'}
            onClick={() => setTurned(!turned)}
          >
            <FlipIcon />
          </IconButton>
        </span>
        <Button
          className={styles.byHand}
          size="small"
          variant={isByHand ? 'contained' : 'outlined'}
          aria-pressed={isByHand}
          disabled={!live.answer}
          onClick={() => {
            setByHand(!isByHand);
            setDrawing(false);
          }}
        >
          Part by hand
        </Button>
        <Button
          className={styles.round3d}
          size="small"
          variant="outlined"
          disabled={!plan}
          onClick={() => setRound(true)}
        >
          In the round
        </Button>
        <div className={styles.drawing}>
          {live.answer && (
            <CrownMap
              name={`${technique.label}, ${(hand ?? live.answer).drawn.length} sections, ${PART_LABEL[brief.parting?.part ?? 'none'].toLowerCase()}`}
              sections={(hand ?? live.answer).drawn}
              skin={props.head.skinTone}
              hair={props.head.hairTone}
              motifOf={(number) => motifOfSection(plan?.sections ?? [], number)}
              partPath={(hand ?? live.answer).partPath}
              turned={turned}
              {...(hand
                ? {
                    stateOf: (number: number) => (number === hand.selected?.number ? PICKED : UNPICKED),
                    onPick: hand.select,
                    overlay: isDrawing ? (
                      <PatchPen
                        turned={turned}
                        onDrawn={(points) => {
                          setDrawing(false);
                          hand.apply(drawnPatch(hand.layout, points));
                        }}
                        onCancel={() => setDrawing(false)}
                      />
                    ) : (
                      <MapHandles
                        hand={hand}
                        turned={turned}
                        radiusCm={RADIUS_CM_PER_CIRCUMFERENCE_CM * hand.layout.recipe.C}
                      />
                    ),
                  }
                : {})}
              detailOf={(section) => {
                const own = plan?.sections[section.number - 1];
                return own
                  ? `${formatArea(own.areaCm2, units)}, ${Math.round(own.hairCount / 100) * 100} hairs`
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
            tools={props.tools}
            scalpCm2={scalpAreaCm2(hand.layout.recipe.C)}
            isDrawing={isDrawing}
            onDraw={setDrawing}
            onAnew={brief.parting?.recipe ? () => changeBrief({ parting: partedAnew(brief) }) : null}
          />
        )}
      </section>

      <section className={styles.forecast} aria-label="Forecast" tabIndex={0}>
        {live.answer ? (
          <ForecastPanel
            answer={live.answer}
            meanLengthCm={meanLengthCm}
            ownCoilMm={brief.head.naturalCoilDiameterMm ?? 8}
            timeZone={props.timeZone}
            handUnits={handUnits}
            isWorking={live.isWorking}
            refining={live.refining}
            onStop={live.stop}
            shelf={{
              isShort: isShort(shelf!) || allergies.length > 0,
              words: (
                <FromTheShelf
                  check={shelf!}
                  allergies={allergies}
                  sections={live.answer.view.plan.sections.length}
                  currency={props.currency}
                />
              ),
            }}
          />
        ) : (
          <p>The forecast appears once the plan adds up. What is missing is said above.</p>
        )}
      </section>

      <section className={styles.ribbon} aria-label="Ribbon">
        {live.answer && live.answer.view.blocks.length > 0 && plan ? (
          <Ribbon
            blocks={live.answer.view.blocks}
            readyMs={live.answer.view.blocks.at(-1)!.endMs}
            days={plan.daysPresentable}
            timeZone={props.timeZone}
            setLabel={wholeSetLabel(brief.set)}
            nowMs={props.nowMs}
            nights={live.answer.view.nights}
            isSettled={isCurrent}
            onMoveStart={(startMs) =>
              changeBrief({ startAt: localTimeOf(startMs, brief.timeZone ?? props.timeZone) })
            }
            onStretch={(step, byMinutes) =>
              changeBrief({ drying: stretched(brief.drying ?? [], step, byMinutes) })
            }
            onMovePin={(readyMs) =>
              changeBrief({ wearBy: localTimeOf(readyMs, brief.timeZone ?? props.timeZone) })
            }
          />
        ) : (
          <p className={styles.noPin}>
            Set a time under “Ready by” and the whole set is laid out back from it.
          </p>
        )}
      </section>
    </div>
  );
}
