'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { causes, SYMPTOM_IDS, symptoms as symptomRows, type SymptomId } from '@/core/evidence/causes';
import { findFault, recordWords, SCALP_FIRST, type SeenSymptoms } from '@/core/evidence/fault-finder';
import type { ToldFacts } from '@/core/evidence/kept';
import { WEAR_MARK_IDS } from '@/core/diary/day-words';
import { motifOfSection, wholeSetLabel } from '@/core/draft/labels';
import { capitalised } from '@/core/words/words';
import { CrownMap } from '@/ui/crown-map/crown-map';
import { SelectField } from '@/ui/fields/select-field';
import { formatDay } from '@/ui/format';
import { useAction } from '@/ui/hooks/use-action';
import { useKept } from '@/ui/hooks/use-kept';
import { LinkButton } from '@/ui/shell/link-button';
import { Page, Part } from '@/ui/shell/page';
import { saveFault, takeNext } from './actions';
import type { loadWhy } from './queries';
import styles from './after.module.css';

type Loaded = NonNullable<Awaited<ReturnType<typeof loadWhy>>>;

const YES_NO = [
  { value: '', label: 'nobody knows' },
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
];
/** Tension as she says, 0 to 10. */
const TENSIONS = [
  { value: '', label: 'nobody asked' },
  ...Array.from({ length: 11 }, (_, n) => ({ value: String(n), label: `${n} of 10` })),
];
const asked = (value: boolean | null | undefined) => (value === true ? 'yes' : value === false ? 'no' : '');
const answered = (value: string) => (value === '' ? null : value === 'yes');

/** What only a person can tell, as it is asked. */
const QUESTIONS = [
  ['newAtScalp', 'Was a product new to this scalp?'],
  ['mixFailed', 'Did the products ball or go white when rubbed together?'],
] as const;

/** What went wrong with one set: what is seen, what the record says, and the likeliest causes in words. */
export function WhyPage(loaded: Loaded) {
  const { set, drawn, partPath, recorded, facts: recordFacts, clock } = loaded;
  const router = useRouter();
  const { run, isBusy, problem } = useAction();
  const {
    kept,
    keep,
    problem: unkept,
  } = useKept(loaded.kept, (state) => saveFault({ setId: set.id, ...state }));
  const facts = {
    ...recordFacts,
    tension: kept.told.tension ?? null,
    newAtScalp: kept.told.newAtScalp ?? null,
    mixFailed: kept.told.mixFailed ?? null,
  };
  const seen: SeenSymptoms = { ...recorded, ...kept.symptoms };
  const finding = findFault(seen, facts);
  const look = (id: SymptomId) =>
    keep((now) => {
      const state = now.symptoms[id] ?? recorded[id];
      const next = state === undefined ? 'present' : state === 'present' ? 'absent' : undefined;
      const symptoms = { ...now.symptoms };
      // What the record shows can be said not to be there, and not be left open.
      if (next !== undefined) symptoms[id] = next;
      else if (recorded[id]) symptoms[id] = 'present';
      else delete symptoms[id];
      return { symptoms };
    });
  const tell = (told: Partial<ToldFacts>) => keep((now) => ({ told: { ...now.told, ...told } }));
  const marks = WEAR_MARK_IDS.flatMap((id) =>
    set.wearDays.flatMap(({ marks: own }) => (own[id] ?? []).map((section) => ({ id, section }))),
  );
  return (
    <Page
      title="What went wrong?"
      lead={`${set.headName}, ${wholeSetLabel(set.brief.set)}, begun ${formatDay(set.startedAtMs, clock)}`}
      action={
        <span className={styles.actions}>
          <LinkButton href={`/sets/${set.id}`} variant="outlined">
            Everything of this set
          </LinkButton>
          {set.outcome && (
            <LinkButton href={`/sets/${set.id}/next`} variant="contained">
              Next time
            </LinkButton>
          )}
        </span>
      }
    >
      {problem}
      {unkept}
      {finding.isScalpFirst && (
        <Alert severity="error" className={styles.scalp!}>
          {SCALP_FIRST}
        </Alert>
      )}
      <div className={styles.columns}>
        <div>
          <Part title="What do you see?" note="once: it is there; twice: it is not">
            <div className={styles.symptoms}>
              {SYMPTOM_IDS.map((id) => (
                <button
                  key={id}
                  type="button"
                  className={styles.symptom}
                  data-state={seen[id] ?? 'open'}
                  aria-pressed={seen[id] === 'present' ? true : seen[id] === 'absent' ? false : 'mixed'}
                  aria-label={`${symptomRows[id].label}: ${seen[id] === 'present' ? 'there' : seen[id] === 'absent' ? 'not there' : 'not looked at'}`}
                  onClick={() => look(id)}
                >
                  {symptomRows[id].label}
                </button>
              ))}
            </div>
          </Part>
          <Part title="What only you can tell">
            <div className={styles.told}>
              {QUESTIONS.map(([id, label]) => (
                <SelectField
                  key={id}
                  label={label}
                  value={asked(kept.told[id])}
                  options={YES_NO}
                  onChange={(value) => tell({ [id]: answered(value) })}
                />
              ))}
              <SelectField
                label="How tight was it, to her?"
                value={
                  kept.told.tension === null || kept.told.tension === undefined
                    ? ''
                    : String(kept.told.tension)
                }
                options={TENSIONS}
                onChange={(value) => tell({ tension: value === '' ? null : Number(value) })}
              />
            </div>
          </Part>
        </div>
        <div>
          <CrownMap
            name={`${wholeSetLabel(set.brief.set)}, where something was marked`}
            sections={drawn}
            skin={set.skinTone}
            hair={set.hairTone}
            partPath={partPath}
            stateOf={(number) => {
              const here = [
                ...new Set(marks.filter(({ section }) => section === number).map(({ id }) => id)),
              ];
              return here.length > 0 ? { kind: 'marked', marks: here } : { kind: 'plain' };
            }}
            motifOf={(number) => motifOfSection(set.forecast.sections, number)}
          />
          <Part title="What the record says">
            <ul className={styles.record}>
              {recordWords(facts).map((text) => (
                <li key={text}>{capitalised(text)}</li>
              ))}
            </ul>
          </Part>
        </div>
        <section aria-live="polite" aria-label="Likely causes" className={styles.causes}>
          {finding.verdict === 'nothing-seen' && (
            <p className={styles.note}>Tick what you see, and the likeliest causes are named.</p>
          )}
          {finding.verdict === 'cannot-tell' && (
            <p className={styles.note}>Cannot tell from this: tick more, or weigh the product next time.</p>
          )}
          {finding.told.map(({ id, sureness, reasons }) => (
            <article key={id} className={styles.cause} data-first={sureness === 'most likely'}>
              <p className={styles.sure}>{capitalised(sureness)}</p>
              <h2>{causes[id].label}</h2>
              <ul>
                {reasons.map(({ text, isFact }) => (
                  <li key={text}>
                    {text}
                    {isFact && <small> from the record</small>}
                  </li>
                ))}
              </ul>
              <p>
                <b>Next time:</b> {causes[id].nextTime}
              </p>
              <CauseAnswers
                answer={kept.answers[id]}
                onAnswer={(answer) => keep((now) => ({ answers: { ...now.answers, [id]: answer } }))}
              />
              <Button
                size="small"
                variant="outlined"
                disabled={isBusy}
                onClick={() =>
                  run(
                    () => takeNext({ setId: set.id, causes: [id], isHalved: false }),
                    ({ id: plan }) => router.push(`/plan/${plan}`),
                  )
                }
              >
                Change it next time
              </Button>
            </article>
          ))}
        </section>
      </div>
    </Page>
  );
}

/** That was it, or it was not. */
export function CauseAnswers({
  answer,
  onAnswer,
}: {
  answer: boolean | undefined;
  onAnswer: (answer: boolean) => void;
}) {
  return (
    <span className={styles.answers}>
      <Button
        size="small"
        variant={answer === true ? 'contained' : 'outlined'}
        aria-pressed={answer === true}
        onClick={() => onAnswer(true)}
      >
        That was it
      </Button>
      <Button
        size="small"
        variant={answer === false ? 'contained' : 'outlined'}
        aria-pressed={answer === false}
        onClick={() => onAnswer(false)}
      >
        It was not
      </Button>
    </span>
  );
}
