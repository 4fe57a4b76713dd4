'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { causes, type CauseId } from '@/core/evidence/causes';
import { SCALP_FIRST } from '@/core/evidence/fault-finder';
import { WEAR_MARK_IDS } from '@/core/diary/day-words';
import { motifOfSection, wholeSetLabel } from '@/core/draft/labels';
import { endReasons } from '@/core/wear/end-reasons';
import { capitalised, plural } from '@/core/words/words';
import { CrownMap } from '@/ui/crown-map/crown-map';
import { formatDay, formatDays, formatDryHours, formatHours, formatIndex, formatMinutes } from '@/ui/format';
import { useAction } from '@/ui/hooks/use-action';
import { useKept } from '@/ui/hooks/use-kept';
import { Sureness } from '@/ui/known/sureness';
import { LinkButton } from '@/ui/shell/link-button';
import { Page } from '@/ui/shell/page';
import { heldUp } from '../outcome-rows';
import { rowsOf, ROWS, happenedWords } from '../outcome-words';
import { saveFault, takeNext } from './actions';
import type { Brings, loadNext } from './queries';
import { HappenedRibbon } from './happened-ribbon';
import { SaidAndCame } from './said-and-came';
import { CauseAnswers } from './why-page';
import styles from './after.module.css';

type Loaded = NonNullable<Awaited<ReturnType<typeof loadNext>>>;

const VERDICTS: Readonly<Record<Loaded['verdict'], string>> = {
  short: 'It fell short of what we said.',
  better: 'It did better than we said.',
  'as-said': 'It went as we said.',
  open: 'It is still being worn.',
};

/** How a figure moves, in words; nothing where nobody would see it. */
function bringsWords(before: Brings | null, after: Brings | null): string {
  if (!before || !after) return '';
  const days = Math.round(2 * (after.days - before.days)) / 2;
  const dry = after.dryH - before.dryH;
  const work = 5 * Math.round((after.workMin - before.workMin) / 5);
  const definition = Math.round(2 * (after.definition - before.definition)) / 2;
  const signed = (value: number, words: string) => `${value > 0 ? '+' : '−'}${words}`;
  return [
    days !== 0 && signed(days, plural(Math.abs(days), 'day')),
    Math.abs(dry) >= 0.5 && `dry ${formatHours(Math.abs(dry))} ${dry < 0 ? 'sooner' : 'later'}`,
    definition !== 0 && `definition ${signed(definition, formatIndex(Math.abs(definition)))}`,
    Math.abs(work) >= 5 && signed(work, `${formatMinutes(Math.abs(work))} of work`),
  ]
    .filter(Boolean)
    .join(', ');
}

/** What a set was and what comes of it: forecast against outcome, the likely cause, and the draft for next time. */
export function NextPage(loaded: Loaded) {
  const { set, drawn, partPath, finding, changes, before, together, known, verdict, clock } = loaded;
  const router = useRouter();
  const { run, isBusy, problem } = useAction();
  const {
    kept,
    keep,
    problem: unkept,
  } = useKept(
    loaded.kept,
    (state) => saveFault({ setId: set.id, ...state }),
    () => router.refresh(),
  );
  const rows = rowsOf(loaded);
  const first = finding.told[0] ?? null;
  const others = finding.told.slice(1);
  const isGood = verdict === 'better' || verdict === 'as-said';
  const take = (ids: readonly CauseId[], isHalved = false) =>
    run(
      () => takeNext({ setId: set.id, causes: [...ids], isHalved }),
      ({ id }) => router.push(`/plan/${id}`),
    );
  const marked = (number: number) =>
    WEAR_MARK_IDS.filter((id) => set.wearDays.some(({ marks }) => marks[id]?.includes(number)));
  const { outcome } = set;
  return (
    <Page
      title={`${set.headName}’s ${wholeSetLabel(set.brief.set)}. Next time?`}
      lead={`${set.title}, begun ${formatDay(set.startedAtMs, clock)}. ${outcome ? `Good for ${plural(outcome.lastGoodDay, 'day')}: ${endReasons[outcome.reason].label.toLowerCase()}. ` : ''}${VERDICTS[verdict]}`}
      action={
        <LinkButton href={`/sets/${set.id}`} variant="outlined">
          Everything of this set
        </LinkButton>
      }
    >
      {problem}
      {unkept}
      {!set.isEnteredLater && <HappenedRibbon set={set} rows={rows} clock={clock} />}
      <div className={styles.three}>
        <section aria-labelledby="said-title">
          <h2 id="said-title">What we said, what came</h2>
          <ul className={styles.rows}>
            {rows.map((row) => (
              <li key={row.id} data-held={heldUp(row) ?? 'unknown'}>
                <b>{ROWS[row.id].label}</b>
                <SaidAndCame row={row} />
                <span>
                  <strong>{happenedWords(row)}</strong>
                  <small>
                    said {ROWS[row.id].show(row.middle)}, {ROWS[row.id].show(row.low)} to{' '}
                    {ROWS[row.id].show(row.high)}
                  </small>
                </span>
              </li>
            ))}
          </ul>
          {known.length > 0 && (
            <div className={styles.learnt}>
              <h3>What is known of her now</h3>
              <ul>
                {known
                  .filter(({ id }) => id !== 'likes')
                  .map(({ id, label, text, from, strength }) => (
                    <li key={id}>
                      <Sureness strength={strength} /> {label}: {text}, {from}
                    </li>
                  ))}
              </ul>
            </div>
          )}
        </section>
        <section aria-labelledby="why-title" className={styles.likely}>
          <h2 id="why-title">{isGood ? 'Anything to mind?' : 'Most likely why'}</h2>
          {finding.isScalpFirst && <p className={styles.warn}>{SCALP_FIRST}</p>}
          {first ? (
            <>
              <p className={styles.headline}>{causes[first.id].label}</p>
              {first.sureness === 'could be' && <p className={styles.note}>It could be this.</p>}
            </>
          ) : (
            <p className={styles.note}>
              {finding.verdict === 'nothing-seen'
                ? isGood
                  ? 'Nothing that went wrong was noted.'
                  : 'Nothing was noted that would tell.'
                : 'The record does not tell.'}
            </p>
          )}
          <div className={styles.map}>
            <CrownMap
              name="Where something was marked"
              sections={drawn}
              skin={set.skinTone}
              hair={set.hairTone}
              partPath={partPath}
              stateOf={(number) => {
                const marks = marked(number);
                return marks.length > 0 ? { kind: 'marked', marks } : { kind: 'plain' };
              }}
              motifOf={(number) => motifOfSection(set.forecast.sections, number)}
            />
          </div>
          {first && (
            <>
              <ol className={styles.reasons}>
                {first.reasons.map(({ text, isFact }) => (
                  <li key={text}>
                    {capitalised(text)}
                    {isFact && <small> from the record</small>}
                  </li>
                ))}
              </ol>
              {others.length > 0 && (
                <p className={styles.note}>
                  Could also be: {others.map(({ id }) => causes[id].label.toLowerCase()).join('; ')}.
                </p>
              )}
              <CauseAnswers
                answer={kept.answers[first.id]}
                onAnswer={(was) => keep((now) => ({ answers: { ...now.answers, [first.id]: was } }))}
              />
            </>
          )}
          <LinkButton href={`/sets/${set.id}/why`}>{first ? 'Other' : 'Look closer'}</LinkButton>
        </section>
        <section aria-labelledby="next-title" className={styles.next}>
          <h2 id="next-title">Next time</h2>
          {changes.length === 0 ? (
            <p>
              {isGood
                ? 'The same again: it worked.'
                : 'The same again, until something tells what to change.'}
            </p>
          ) : (
            <p className={styles.note}>the same set with {plural(changes.length, 'change')}</p>
          )}
          <ul className={styles.changes}>
            {changes.map(({ id, what, was, now, brings, canBeHalved }) => (
              <li key={id}>
                <span>{what}</span>
                <div>
                  <p>
                    <s>{was}</s> <b aria-label="becomes">→</b> <strong>{now}</strong>
                  </p>
                  <small>{bringsWords(before, brings) || 'nothing that the model sees'}</small>
                  {changes.length > 1 && (
                    <Button size="small" disabled={isBusy} onClick={() => take([id])}>
                      Only this
                    </Button>
                  )}
                  {canBeHalved && (
                    <p className={styles.note}>
                      Not sure it was that?{' '}
                      <button
                        type="button"
                        className={styles.asLink}
                        disabled={isBusy}
                        onClick={() => take([id], true)}
                      >
                        Half the head each way
                      </button>{' '}
                      would tell.
                    </p>
                  )}
                </div>
              </li>
            ))}
          </ul>
          {together && (
            <dl className={styles.figures}>
              <div>
                <dt>Good for</dt>
                <dd>
                  {formatDays(together.days)}
                  <small>
                    {Math.round(together.daysLow)} to {Math.round(together.daysHigh)}
                    {outcome && `, was ${outcome.lastGoodDay}`}
                  </small>
                </dd>
              </div>
              <div>
                <dt>Dry after</dt>
                <dd>{formatDryHours(together.dryH)}</dd>
              </div>
              <div>
                <dt>Setting</dt>
                <dd>{formatMinutes(together.workMin)}</dd>
              </div>
            </dl>
          )}
          {changes.length > 1 && (
            <p className={styles.note}>
              Gains of several changes are not added up: the figures are of all of them together.
            </p>
          )}
          <Button variant="contained" disabled={isBusy} onClick={() => take(changes.map(({ id }) => id))}>
            {changes.length > 0 ? 'Use it' : 'Plan it again'}
          </Button>
        </section>
      </div>
    </Page>
  );
}
