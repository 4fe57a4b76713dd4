'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import type { Clock } from '@/core/formats/display';
import { ZONE_LABEL } from '@/core/hair/zone';
import { motifOfSection } from '@/core/draft/labels';
import { byEye, zoneSides } from '@/core/parting/by-eye';
import type { Option } from '@/core/suggest/option';
import { listed, sentence } from '@/core/words/words';
import { CrownMap } from '@/ui/crown-map/crown-map';
import {
  formatChance,
  formatDays,
  formatLength,
  formatMinutes,
  formatPercent,
  formatIndex,
} from '@/ui/format';
import { useAction } from '@/ui/hooks/use-action';
import { useUnits } from '@/ui/units-context';
import { newPlan, startSet, takeDraft } from '../actions';
import { dryWords } from '../dry-words';
import { DryingTable } from '../drying-table';
import { DraftThread } from './draft-thread';

import { OtherKinds } from './other-kinds';
import { addressOf } from './wish-address';
import { beginOf, wishFor, type WishForm, type WishMeans } from './wish-for';
import { WorkPage } from '@/ui/shell/work-page';
import { useNow } from '@/ui/hooks/use-now';
import { serverNowMs } from '@/ui/hooks/server-clock';
import { MINUTE_MS } from '@/core/units/time';
import { lateWords } from '../desk/late-words';
import { useSuggestions } from './use-suggestions';
import { learntSentences } from '@/ui/known/known-of-her';
import { KnownOfHer } from '../known-of-her';
import { UsefulNote } from './useful-note';
import { WeighedDialog } from './weighed-dialog';
import { WishBar } from './wish-bar';
import styles from './first-draft.module.css';

export interface FirstDraftProps {
  readonly head: {
    readonly id: string;
    readonly name: string;
    readonly description: string;
    readonly skinTone: string;
    readonly hairTone: string;
  };
  readonly means: WishMeans;
  readonly form: WishForm;
  readonly clock: Clock;
  readonly nowMs: number;
}

/** What of its layers an option needs more of than there is, in words. */
function shortWords(option: Option, doses: readonly { readonly grams: number }[], means: WishMeans): string {
  const short = option.productIds.flatMap((id, i) => {
    const product = means.products.find((one) => one.id === id);
    const left = product?.leftG === null || product === undefined ? null : product.leftG - product.usedSinceG;
    const missing = left === null ? 0 : (doses[i]?.grams ?? 0) - left;
    return missing > 0.5 && product ? [`${product.name} is ${Math.round(missing)} g short`] : [];
  });
  return short.length === 0 ? '' : `${listed(short)}.`;
}

/** The first draft for a head: three questions, one whole answer, what speaks for it, and what else could be done. */
export function FirstDraft({ head, means, form: asked, clock, nowMs }: FirstDraftProps) {
  const router = useRouter();
  const { units } = useUnits();
  const { run, isBusy, problem } = useAction();
  const [form, setForm] = useState(asked);
  const [isWeighedOpen, setWeighedOpen] = useState(false);
  const [{ wish, askedMs }, setWish] = useState(() => ({
    wish: wishFor(asked, means, nowMs),
    askedMs: nowMs,
  }));
  const now = useNow(nowMs, MINUTE_MS);
  const live = useSuggestions(wish);
  const { option, view, progress, explained } = live;
  const plan = view?.view.plan ?? null;

  // The address holds what was asked, so that Back and a reload bring it again.
  useEffect(() => {
    // After the router's own effects: before them its state would be wiped, and Back would lead nowhere.
    const timer = setTimeout(() => window.history.replaceState(null, '', addressOf(head.id, form)));
    return () => clearTimeout(timer);
  }, [head.id, form]);
  const change = (part: Partial<WishForm>) => {
    const next = { ...form, ...part };
    setForm(next);
    const atMs = serverNowMs();
    setWish({ wish: wishFor(next, means, atMs), askedMs: atMs });
  };

  // One plan for one draft, however often it has to be sent.
  const taken = useRef<{ readonly option: Option; readonly id: string } | null>(null);
  const idOf = (of: Option) => {
    if (taken.current?.option !== of) taken.current = { option: of, id: crypto.randomUUID() };
    return taken.current.id;
  };
  const take = (isToChair: boolean) => {
    if (!option) return;
    const { brief, productIds, title } = option;
    void run(
      async () => {
        const made = await takeDraft({
          id: idOf(option),
          headId: head.id,
          title: title.slice(0, 80),
          brief,
          layerProductIds: [...productIds],
        });
        if (!made.ok || !isToChair) return made.ok ? { ...made, value: `/plan/${made.value.id}` } : made;
        const begun = await startSet({ id: made.value.id });
        return begun.ok ? { ...begun, value: `/chair/${begun.value.id}` } : begun;
      },
      (to) => router.push(to),
    );
  };

  const isStopped = plan?.cautions.some(({ severity }) => severity === 'stop') ?? true;
  const dry = view ? dryWords(view.view, clock) : null;
  const blocks = view?.view.blocks ?? [];
  const isOver = blocks.length > 0 && blocks.at(-1)!.endMs <= now;
  // While it is looked at the beginning passes by a little; that is not late yet.
  const late = lateWords(blocks, isOver ? now : askedMs, clock);
  const others = (progress?.options ?? []).flatMap((other, index) =>
    other.title === option?.title ? [] : [{ index, option: other }],
  );
  return (
    <WorkPage
      title={`First draft for ${head.name}`}
      lead={head.description}
      actions={
        <>
          <Button
            variant="outlined"
            disabled={isBusy}
            onClick={() =>
              void run(
                () => newPlan({ headId: head.id }),
                ({ id }) => router.push(`/plan/${id}`),
              )
            }
          >
            Start by hand
          </Button>
          <Button variant="outlined" disabled={isBusy || !option} onClick={() => take(false)}>
            Change by hand
          </Button>
          <Button
            variant="contained"
            disabled={isBusy || !option || isStopped || isOver}
            onClick={() => take(true)}
          >
            Take to the chair
          </Button>
        </>
      }
    >
      {problem}
      <WishBar
        form={form}
        begin={form.begin ?? beginOf(form.ready, means.timeZone, askedMs)}
        onChange={change}
      />
      <div className={styles.state} role="status">
        {live.isWorking && (
          <>
            <progress max={progress?.of ?? 1} value={progress?.runs ?? 0} aria-label="Looked at" />
            <span>
              {option ? 'a first answer; others are being looked at' : 'looking at what this hair carries'}
            </span>
            <Button size="small" onClick={live.stop}>
              Stop
            </Button>
          </>
        )}
        {!live.isWorking && progress?.nothingFits && <p className={styles.gives}>{progress.nothingFits}</p>}
        {!live.isWorking && late && <p className={styles.gives}>{late}</p>}
        {live.errors.map(({ path, message }) => (
          <p key={path + message} className={styles.gives}>
            {sentence(message)}
          </p>
        ))}
      </div>
      {option && (
        <div className={styles.columns}>
          <section className={styles.choices} aria-label="The draft">
            <DraftThread
              option={option}
              explained={explained}
              shortOf={shortWords(option, plan?.doses ?? [], means)}
              onAsk={live.whyNot}
              onDraft={live.choose}
            />
          </section>
          <section className={styles.map} aria-label="Sections and drying">
            {dry && plan && (
              <div className={styles.dry}>
                <span>Dry to the root</span>
                <b>{dry.value}</b>
                <p>
                  {dry.range}
                  {plan.drying.chanceDryAtWearBy !== null && (
                    <>
                      <br />
                      <strong>{formatChance(plan.drying.chanceDryAtWearBy)}</strong> sure at takedown
                    </>
                  )}
                </p>
              </div>
            )}
            {view && plan && (
              <>
                <div className={styles.drawing}>
                  <CrownMap
                    name={`${option.title}: ${view.drawn.length} sections`}
                    sections={view.drawn}
                    skin={head.skinTone}
                    hair={head.hairTone}
                    partPath={view.partPath}
                    motifOf={(number) => motifOfSection(plan.sections, number)}
                  />
                </div>
                <p className={styles.sides}>
                  {zoneSides(plan.sections)
                    .filter(({ zone }) => zone !== 'right')
                    .map(({ zone, sideCm }) => (
                      <span key={zone}>
                        {zone === 'left' ? 'sides' : ZONE_LABEL[zone]} <b>{formatLength(sideCm, units)}</b>
                        <small>{byEye(sideCm)}</small>
                      </span>
                    ))}
                </p>
              </>
            )}
            {explained && explained.ways.length > 0 && (
              <DryingTable ways={explained.ways} isTimed={form.ready !== null} />
            )}
          </section>
          <section className={styles.figures} aria-label="What comes of it">
            {plan && (
              <dl className={styles.numbers}>
                {(
                  [
                    [
                      'Lasts',
                      formatDays(plan.daysPresentable.p50),
                      `${Math.round(plan.daysPresentable.p10)} to ${Math.round(plan.daysPresentable.p90)}`,
                    ],
                    ['Shows', formatPercent(plan.result.stretch), 'of its length'],
                    ['Hands-on', formatMinutes(option.figures.handsOnMin), 'from washing on'],
                    [
                      'Definition',
                      `${formatIndex(plan.result.definition.p50)} of 10`,
                      `${formatIndex(plan.result.definition.p10)} to ${formatIndex(plan.result.definition.p90)}`,
                    ],
                    ['Volume', `${formatIndex(plan.result.volume)} of 10`, 'how full it is'],
                    [
                      'Frizz',
                      `${formatIndex(plan.result.frizz.p50)} of 10`,
                      `${formatIndex(plan.result.frizz.p10)} to ${formatIndex(plan.result.frizz.p90)}`,
                    ],
                  ] as const
                ).map(([name, value, note]) => (
                  <div key={name}>
                    <dt>{name}</dt>
                    <dd>
                      {value}
                      <small>{note}</small>
                    </dd>
                  </div>
                ))}
              </dl>
            )}
            {plan && learntSentences(plan).length > 0 && <KnownOfHer plan={plan} />}
            <h2>
              Or another kind <small>against this one</small>
            </h2>
            {others.length > 0 ? (
              <OtherKinds options={others} now={option} head={head} onTake={live.choose} />
            ) : (
              <p>
                {live.isWorking
                  ? 'Others follow in a moment.'
                  : 'Nothing else is as good, and clearly better at something.'}
              </p>
            )}
            <button type="button" className={styles.link} onClick={() => setWeighedOpen(true)}>
              How each was weighed
            </button>
            {explained && (
              <UsefulNote headId={head.id} useful={explained.useful} isTimed={form.ready !== null} />
            )}
            {plan && plan.cautions.some(({ severity }) => severity !== 'note') && (
              <ul className={styles.cautions}>
                {plan.cautions
                  .filter(({ severity }) => severity !== 'note')
                  .map(({ code, text }) => (
                    <li key={code}>{text}</li>
                  ))}
              </ul>
            )}
          </section>
        </div>
      )}
      {isWeighedOpen && progress && (
        <WeighedDialog
          options={[...(option ? [option] : []), ...others.map((other) => other.option)]}
          onClose={() => setWeighedOpen(false)}
        />
      )}
    </WorkPage>
  );
}
