'use client';
import { useState } from 'react';
import { capitalised } from '@/core/words/words';
import type { Option } from '@/core/suggest/option';
import type { WhyNot } from '@/core/suggest/why-not';
import { CloseIcon } from '@/ui/icons';
import type { Explained, WhyNotTold } from '@/workers/suggest.worker';
import { choicesOf, type ChoiceSaid } from './choices-said';
import { Pill } from '@/ui/fields/pill';
import styles from './first-draft.module.css';

interface Answered extends WhyNotTold {
  readonly label: string;
  readonly option: Option | null;
}

/** What is asked about one choice: everything that was not chosen, and the answer in place. */
function WhyNotPanel({
  questions,
  onAsk,
  onDraft,
  onClose,
}: {
  questions: Explained['questions'];
  onAsk: (asked: WhyNot) => Promise<(WhyNotTold & { readonly option: Option | null }) | null>;
  onDraft: (index: number, option: Option) => void;
  onClose: () => void;
}) {
  const [answered, setAnswered] = useState<Answered | null>(null);
  const [asking, setAsking] = useState<string | null>(null);
  const put = async ({ asked, label }: Explained['questions'][number]) => {
    setAsking(label);
    const told = await onAsk(asked);
    setAsking(null);
    if (told) setAnswered({ ...told, label });
  };
  return (
    <div className={styles.whyNot} role="group" aria-label="Why not">
      <button type="button" className={styles.close} aria-label="Close why not" onClick={onClose}>
        <CloseIcon />
      </button>
      <h3>Why not …?</h3>
      <div className={styles.alternatives}>
        {questions.map((question) => (
          <Pill
            key={question.label}
            label={question.label}
            isPressed={answered?.label === question.label}
            isDisabled={asking !== null}
            onPress={() => void put(question)}
          />
        ))}
      </div>
      <div role="status">
        {asking && <p>Looking at {asking} …</p>}
        {!asking && answered && (
          <>
            <p>
              <b>Why not {answered.label}?</b> {answered.text}
            </p>
            {answered.option && answered.instead !== null && (
              <button
                type="button"
                className={styles.link}
                onClick={() => onDraft(answered.instead!, answered.option!)}
              >
                Draft it with {answered.label}
              </button>
            )}
          </>
        )}
      </div>
    </div>
  );
}

/** The draft as one thread: each choice, and one reason that rests on one fact; what was not chosen can be asked about. */
export function DraftThread({
  option,
  explained,
  shortOf,
  onAsk,
  onDraft,
}: {
  option: Option;
  /** Null while reasons are looked for. */
  explained: Explained | null;
  /** What of the layers runs short, in words; empty where nothing does. */
  shortOf: string;
  onAsk: Parameters<typeof WhyNotPanel>[0]['onAsk'];
  onDraft: (index: number, option: Option) => void;
}) {
  const [open, setOpen] = useState<ChoiceSaid['about'] | null>(null);
  return (
    <ol className={styles.thread}>
      {choicesOf(option).map(({ about, title, answer, asks }) => {
        const questions = explained?.questions.filter(({ asked }) => asks.includes(asked.kind)) ?? [];
        const reasons = explained?.reasons.filter((reason) => reason.about === about) ?? [];
        return (
          <li key={about}>
            <div className={styles.choiceHead}>
              <span className={styles.choiceTitle}>{title}</span>
              {questions.length > 0 && (
                <button
                  type="button"
                  className={styles.link}
                  aria-expanded={open === about}
                  aria-label={`Why not something else for ${title.toLowerCase()}?`}
                  onClick={() => setOpen(open === about ? null : about)}
                >
                  Why not …?
                </button>
              )}
            </div>
            <b className={styles.choiceAnswer}>{capitalised(answer)}</b>
            {reasons.map(({ text }) => (
              <p key={text} className={styles.reason}>
                {text}
              </p>
            ))}
            {about === 'layers' && shortOf && <p className={styles.short}>{shortOf}</p>}
            {open === about && (
              <WhyNotPanel
                key={option.title}
                questions={questions}
                onAsk={onAsk}
                onDraft={(index, other) => {
                  setOpen(null);
                  onDraft(index, other);
                }}
                onClose={() => setOpen(null)}
              />
            )}
          </li>
        );
      })}
    </ol>
  );
}
