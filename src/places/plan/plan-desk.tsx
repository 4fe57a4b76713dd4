'use client';
import dynamic from 'next/dynamic';
import { useReducer } from 'react';
import type { Clock } from '@/core/formats/display';
import type { Checked } from '@/core/formats/field-error';
import { USUAL_HEAD } from '@/core/formats/ranges';
import { ZONES } from '@/core/hair/zone';
import type { AnsweredView } from '@/core/plan/answer-view';
import type { WeighedUnits } from '@/core/products/hand-units';
import type { ChosenSchools } from '@/core/schools/schools';
import { takenProducts } from '@/core/draft/shelf-choices';
import { allergyMatches } from '@/core/shelf/allergy';
import { checkShelf, isShort } from '@/core/shelf/shelf-check';
import { localTimeOf } from '@/core/schedule/local-time';
import { roundTones } from '@/ui/round/round-tones';
import { useNow } from '@/ui/hooks/use-now';
import { Ribbon } from '@/ui/ribbon/ribbon';
import { PlanChoices } from './choices/plan-choices';
import { DeskAlerts } from './desk/desk-alerts';
import { DeskBar } from './desk/desk-bar';
import { DeskMap } from './desk/desk-map';
import { deskView, FIRST_VIEW } from './desk/desk-view';
import { lateWords } from './desk/late-words';
import { useDeskActions } from './desk/use-desk-actions';
import { useUndoKeys } from './desk/use-undo-keys';
import { comparedPlan } from './difference-words';
import { ForecastPanel } from './forecast-panel';
import { FromTheShelf } from './from-the-shelf';
import type { Corrections, Learnt } from '@/core/brief/learnt';
import type { WishMeans } from './first/wish-for';
import type { PastSet } from '@/core/suggest/record';
import { stretched, withOption } from '@/core/draft/edits';
import { wholeSetLabel } from '@/core/draft/labels';
import type { DraftBrief, PlanContent, ShelfDryer, ShelfProduct, ShelfTool } from '@/core/draft/draft-brief';
import styles from './plan-desk.module.css';
import { useDraft } from './use-draft';
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
  readonly isAside: boolean;
  /** The set it was begun as; null while it is ahead. */
  readonly setId: string | null;
  readonly hasNewerMeasurement: boolean;
  /** Sets on this head that are over. */
  readonly past: readonly PastSet[];
  readonly products: readonly ShelfProduct[];
  readonly tools: readonly ShelfTool[];
  readonly dryers: readonly ShelfDryer[];
  readonly reserved: readonly (readonly [string, number])[];
  readonly currency: string;
  readonly handUnits: WeighedUnits;
  readonly clock: Clock;
  readonly first: Checked<AnsweredView>;
  readonly nowMs: number;
}

const FitDialog = dynamic(() => import('./fit/fit-dialog').then((module) => module.FitDialog));
const RoundDialog = dynamic(() => import('@/ui/round/round-dialog').then((module) => module.RoundDialog), {
  ssr: false,
});
const SheetDialog = dynamic(() => import('./sheet/sheet-dialog').then((module) => module.SheetDialog));

const TICK_MS = 60_000;

/** What a brief says of its head, as a search takes it. */
const knownIn = ({ learnt, asIfUnknown, corrections }: DraftBrief): WishMeans['known'] => ({
  learnt: asIfUnknown ? null : ((learnt as Learnt | undefined) ?? null),
  corrections: (corrections as Corrections | undefined) ?? null,
});

/** Mean stretched length of a head: by its hair where that is known, else by its zones. */
function meanLengthCm(lengths: DraftBrief['head']['stretchedLengthCm'], answer: AnsweredView | null): number {
  if (typeof lengths === 'number') return lengths;
  const plan = answer?.view.plan;
  return plan
    ? plan.sections.reduce((sum, { hairCount, zone }) => sum + hairCount * lengths[zone], 0) /
        plan.hair.hairCount
    : ZONES.reduce((sum, zone) => sum + lengths[zone], 0) / ZONES.length;
}

/** The place where a set is planned: choices, crown map, forecast, and the ribbon drawn back from the pin. */
export function PlanDesk(props: PlanDeskProps) {
  const draft = useDraft(props.id, props.content, props.revision);
  const { content, edit } = draft;
  const { brief } = content;
  const live = useForecast(brief, props.first);
  const actions = useDeskActions(draft, { ...props, headId: props.head.id });
  const [view, act] = useReducer(deskView, FIRST_VIEW);
  const nowMs = useNow(props.nowMs, TICK_MS);
  useUndoKeys(draft.undo, draft.redo);

  const changeBrief = (part: Partial<DraftBrief>) => edit({ ...content, brief: { ...brief, ...part } });
  const { answer } = live;
  const plan = answer?.view.plan ?? null;
  const isCurrent = live.answered === brief;
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
  const allergies = allergyMatches(props.head.allergies, takenProducts(content, props.products));
  const lengths = brief.head.stretchedLengthCm;
  const isStopped = plan?.cautions.some(({ severity }) => severity === 'stop') ?? true;
  const blocks = answer?.view.blocks ?? [];
  const localTime = (ms: number) => localTimeOf(ms, brief.timeZone ?? props.clock.timeZone);
  const close = () => act({ kind: 'close' });

  return (
    <div className={styles.desk}>
      <h1 className="visually-hidden">{content.title}</h1>
      <DeskBar
        draft={draft}
        actions={actions}
        head={props.head}
        hasPlan={plan !== null}
        isBegun={props.setId !== null}
        mayBegin={!isStopped && !draft.conflict}
        onOpen={(sheet) => act({ kind: 'open', sheet })}
      />
      <DeskAlerts
        draft={draft}
        actions={actions}
        errors={live.errors}
        headName={props.head.name}
        isBegun={props.setId !== null}
        isAside={props.isAside}
        lateWords={lateWords(blocks, nowMs, props.clock)}
      />

      {view.sheet === 'round' && (
        <RoundDialog
          heads={[
            {
              title: null,
              brief,
              tones: roundTones(props.head.skinTone, props.head.hairTone, brief.head.conditions ?? []),
            },
          ]}
          onClose={close}
        />
      )}
      {view.sheet === 'print' && <SheetDialog planId={props.id} onClose={close} />}
      {view.sheet === 'fit' && (
        <FitDialog
          brief={brief}
          means={{
            head: brief.head,
            allergies: props.head.allergies,
            schools: actions.schools,
            past: props.past,
            products: props.products,
            tools: props.tools,
            dryers: props.dryers,
            hand: brief.set.hand ?? 'usual',
            timeZone: brief.timeZone ?? props.clock.timeZone,
            known: knownIn(brief),
          }}
          tones={roundTones(props.head.skinTone, props.head.hairTone, brief.head.conditions ?? [])}
          nowMs={nowMs}
          now={plan && comparedPlan(plan)}
          onTake={(option) => {
            edit(withOption(content, option));
            close();
          }}
          onClose={close}
        />
      )}

      <section className={styles.choices} aria-label="Choices">
        {props.head.allergies && (
          <p className={styles.mind}>
            <b>Mind:</b> {props.head.allergies}
          </p>
        )}
        <PlanChoices
          content={content}
          plan={plan}
          fullestBundle={answer?.view.fullestBundle ?? null}
          products={props.products}
          skin={props.head.skinTone}
          allergies={props.head.allergies}
          tools={props.tools}
          dryers={props.dryers}
          handUnits={actions.handUnits}
          schools={actions.schools}
          onSchool={actions.takeSchool}
          onWeighed={actions.weigh}
          askWays={live.ways}
          onChange={edit}
        />
      </section>

      <DeskMap
        brief={brief}
        answer={answer}
        isCurrent={isCurrent}
        head={props.head}
        tools={props.tools}
        view={view}
        onView={act}
        onChange={changeBrief}
      />

      <section className={styles.forecast} aria-label="Forecast" tabIndex={0}>
        {answer && shelf ? (
          <ForecastPanel
            answer={answer}
            meanLengthCm={meanLengthCm(lengths, answer)}
            ownCoilMm={brief.head.naturalCoilDiameterMm ?? USUAL_HEAD.naturalCoilDiameterMm}
            clock={props.clock}
            handUnits={actions.handUnits}
            isWorking={live.isWorking}
            refining={live.refining}
            onStop={live.stop}
            known={
              brief.learnt
                ? {
                    isUnknown: brief.asIfUnknown ?? false,
                    onUnknown: (asIfUnknown) => changeBrief({ asIfUnknown }),
                  }
                : null
            }
            corrections={knownIn(brief).corrections}
            shelf={{
              isShort: isShort(shelf) || allergies.length > 0,
              words: (
                <FromTheShelf
                  check={shelf}
                  allergies={allergies}
                  sections={answer.view.plan.sections.length}
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
        {answer && plan && blocks.length > 0 ? (
          <Ribbon
            blocks={blocks}
            readyMs={blocks.at(-1)!.endMs}
            days={plan.daysPresentable}
            clock={props.clock}
            setLabel={wholeSetLabel(brief.set)}
            nowMs={nowMs}
            nights={answer.view.nights}
            isSettled={isCurrent}
            onMoveStart={(startMs) => changeBrief({ startAt: localTime(startMs) })}
            onStretch={(step, byMinutes) =>
              changeBrief({ drying: stretched(brief.drying ?? [], step, byMinutes) })
            }
            onMovePin={(readyMs) => changeBrief({ wearBy: localTime(readyMs) })}
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
