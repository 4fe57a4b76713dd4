'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import { useWatch, type FieldPath } from 'react-hook-form';
import { USUAL_HEAD } from '@/core/formats/ranges';
import type { HeadInput } from '@/core/formats/brief';
import { KNOWABLE } from '@/core/hair/head';
import { perZone, ZONES } from '@/core/hair/zone';
import { capitalised } from '@/core/words/words';
import { TypedBackNote } from '@/ui/feedback/typed-back-note';
import { useCheckedForm } from '@/ui/hooks/use-checked-form';
import { LinkButton } from '@/ui/shell/link-button';
import { WorkPage } from '@/ui/shell/work-page';
import { useUnits } from '@/ui/units-context';
import { saveHead } from '../actions';
import { headForm, type HeadFormValues } from '../head-input';
import { FIELD_OF, knownWords, MEASURE_STEPS, stepOf, type MeasureStepId } from './steps-known';
import { QUESTIONS } from './questions';
import { StepBody } from './step-body';
import { tellsWords } from './tells';
import { UsefulPanel } from './useful-panel';
import { useUseful } from './use-useful';
import styles from './measure.module.css';

/** A form as the head of a brief; null while it is not one yet. */
function headOf(form: HeadFormValues): HeadInput | null {
  const read = headForm.safeParse({ ...form, name: form.name || 'she' });
  return read.success ? read.data.measured : null;
}

/** The guided way through a head: one question a step, each optional, in the order hands do it. */
export function Measure({
  id,
  revision,
  values,
  at,
}: {
  id: string | null;
  revision: number;
  values: HeadFormValues;
  /** The step it opens at; null for the first. */
  at: string | null;
}) {
  const { units } = useUnits();
  const goesTo = useRef<'draft' | 'head'>('draft');
  const { form, submit, problem, busy, unsaved } = useCheckedForm({
    schema: headForm,
    values,
    unsavedAs: `measure.${id ?? 'new'}`,
    save: (filled) => saveHead({ id, revision, form: filled }),
    onKept: ({ id: kept }) => (goesTo.current === 'draft' ? `/plan/first?head=${kept}` : `/heads/${kept}`),
  });
  const now = { ...values, ...useWatch({ control: form.control }) } as HeadFormValues;
  const steps = id === null ? MEASURE_STEPS : MEASURE_STEPS.filter((step) => step.id !== 'who');
  const [current, setCurrent] = useState<MeasureStepId>(() => (at && stepOf(at)) || steps[0]!.id);
  const useful = useUseful(headOf(now), now.likes);

  const heading = useRef<HTMLHeadingElement>(null);
  const seen = useRef(current);
  useEffect(() => {
    // The question is read and reached next, however the step was come to.
    if (seen.current !== current) heading.current?.focus();
    seen.current = current;
  }, [current]);

  const index = steps.findIndex((step) => step.id === current);
  const go = (to: number) => {
    const step = steps[Math.min(steps.length - 1, Math.max(0, to))]!;
    setCurrent(step.id);
  };
  const set = (part: Partial<HeadFormValues>) => {
    for (const [name, value] of Object.entries(part))
      form.setValue(name as FieldPath<HeadFormValues>, value as never, { shouldDirty: true });
  };
  const answer = (part: Partial<HeadFormValues>, isNext = false) => {
    const field = FIELD_OF[current];
    set({ ...part, ...(field ? { notKnown: now.notKnown.filter((other) => other !== field) } : {}) });
    if (isNext) go(index + 1);
  };
  const skip = () => {
    const field = FIELD_OF[current];
    if (field) {
      const usual = {
        stretchedLengthCm: { lengthCm: perZone(() => USUAL_HEAD.stretchedLengthCm) },
        shrinkage: { shrinkagePercent: 100 * USUAL_HEAD.shrinkage },
        naturalCoilDiameterMm: { naturalCoilDiameterMm: USUAL_HEAD.naturalCoilDiameterMm },
        strandDiameterUm: { strandDiameterUm: USUAL_HEAD.strandDiameterUm },
        densityPerCm2: {
          densityFrom: 'feel' as const,
          densityPerCm2: USUAL_HEAD.densityPerCm2,
          ponytailCircumferenceCm: null,
        },
        porosity: { porosity: USUAL_HEAD.porosity },
        circumferenceCm: { circumferenceCm: USUAL_HEAD.circumferenceCm },
      }[field];
      set({ ...usual, notKnown: [...new Set([...now.notKnown, field])] });
    }
    go(index + 1);
  };
  const keep = (to: 'draft' | 'head') => {
    goesTo.current = to;
    // Lengths nobody measured stand at the usual one, and are said to be unknown.
    if (ZONES.every((zone) => now.lengthCm[zone] === null))
      set({
        lengthCm: perZone(() => USUAL_HEAD.stretchedLengthCm),
        notKnown: [...new Set([...now.notKnown, 'stretchedLengthCm' as const])],
      });
    if (!now.name) setCurrent('who');
    else if (
      !ZONES.every((zone) => now.lengthCm[zone] === null) &&
      ZONES.some((zone) => now.lengthCm[zone] === null)
    )
      setCurrent('length');
    void submit();
  };

  const known = steps.filter((step) => knownWords(step.id, now, units) !== null).length;
  const errorOf = (name: string) =>
    form.getFieldState(name as FieldPath<HeadFormValues>, form.formState).error?.message;
  const { question, how } = QUESTIONS[current];
  const tells = tellsWords(current, now);
  const field = FIELD_OF[current];
  return (
    <WorkPage
      title={now.name || 'A new head'}
      lead="look and measure"
      beside={
        <p className={styles.progress}>
          <span aria-hidden="true">
            {steps.map((step) => (
              <i
                key={step.id}
                data-known={knownWords(step.id, now, units) !== null}
                data-now={step.id === current}
              />
            ))}
          </span>
          {known} of {steps.length} known
        </p>
      }
      actions={
        <>
          <LinkButton href={id ? `/heads/${id}/edit` : '/heads/new'} variant="outlined">
            The whole form
          </LinkButton>
          <Button variant="outlined" disabled={busy} onClick={() => keep('head')}>
            Keep
          </Button>
          <Button variant="contained" disabled={busy} onClick={() => keep('draft')}>
            Enough, draft a set
          </Button>
        </>
      }
    >
      <TypedBackNote isBack={unsaved.isBack} drop={unsaved.drop} />
      {problem && (
        <Alert severity="warning">
          {problem.text} {problem.isConflict && <a href={`/heads/${id}`}>See the other version</a>}
        </Alert>
      )}
      <div className={styles.columns}>
        <nav className={styles.steps} aria-label="Steps">
          <ol>
            {steps.map((step) => {
              const words = knownWords(step.id, now, units);
              return (
                <li key={step.id}>
                  <button
                    type="button"
                    data-known={words !== null}
                    aria-current={step.id === current ? 'step' : undefined}
                    onClick={() => setCurrent(step.id)}
                  >
                    <small>{step.title}</small>
                    <b>{words ?? (FIELD_OF[step.id] ? 'not known' : 'nothing noted')}</b>
                  </button>
                </li>
              );
            })}
          </ol>
          <p>
            What is not known is taken as usual and makes the ranges wider. Any line can be done now; the
            order is only a help.
          </p>
        </nav>
        <section className={styles.step} aria-label="This step">
          <h2 ref={heading} tabIndex={-1}>
            {question}
          </h2>
          <p className={styles.how}>{how}</p>
          <StepBody
            key={current}
            id={current}
            form={now}
            errorOf={errorOf}
            onAnswer={answer}
            isKnown={!field || !now.notKnown.includes(field)}
          />
          <footer className={styles.foot}>
            <Button variant="outlined" disabled={index <= 0} onClick={() => go(index - 1)}>
              Back
            </Button>
            <span className={styles.grow} />
            {field && (
              <Button variant="outlined" onClick={skip}>
                Not known
              </Button>
            )}
            {index < steps.length - 1 ? (
              <Button variant="contained" onClick={() => go(index + 1)}>
                Next<span className={styles.nextTitle}>: {steps[index + 1]!.title.toLowerCase()}</span>
              </Button>
            ) : (
              <Button variant="contained" disabled={busy} onClick={() => keep('draft')}>
                Draft a set
              </Button>
            )}
          </footer>
        </section>
        <aside className={styles.tells}>
          {tells && (
            <>
              <h2>What this tells</h2>
              <p>{capitalised(tells)}</p>
            </>
          )}
          <UsefulPanel
            useful={useful}
            unknown={KNOWABLE.filter((one) => now.notKnown.includes(one))}
            onGo={(to) => {
              const step = stepOf(to);
              if (step) setCurrent(step);
            }}
          />
        </aside>
      </div>
    </WorkPage>
  );
}
