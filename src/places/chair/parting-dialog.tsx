'use client';
import { useEffect, useState } from 'react';
import type { PartingChoice } from '@/core/plan/parting-effect';
import { sectionName } from '@/core/parting/section-name';
import type { PartingEdit } from '@/core/run/parting-edit';
import { capitalised } from '@/core/words/words';
import { formatDiameter } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { ChairDialog } from './chair-dialog';
import { SectionSelect } from './section-select';
import type { ChairViewProps } from './chair-set';
import { effectWords } from './effect-words';
import { partingWords } from './parting-words';
import styles from './chair.module.css';

/** Ways to part a section otherwise that are about it alone, and those that are about one beside it too. */
const ALONE = [
  { edit: 'split', label: 'Part it in two' },
  { edit: 'leave-out', label: 'Leave it out' },
  { edit: 'size', label: 'On' },
  { edit: 'add', label: 'Set what was left out' },
] as const satisfies readonly { edit: PartingEdit['edit']; label: string }[];
const WITH_BESIDE = [
  { edit: 'join', label: 'Join them' },
  { edit: 'thin', label: 'Give it a quarter of the hair' },
  { edit: 'between', label: 'One more between them' },
] as const satisfies readonly { edit: PartingEdit['edit']; label: string }[];

/** One change on a button: what it does, and what it brings. */
function ChoiceButton({
  label,
  choice,
  pace,
  onPick,
}: {
  readonly label: string;
  readonly choice: PartingChoice;
  readonly pace: number;
  readonly onPick: () => void;
}) {
  const { units } = useUnits();
  const brings = effectWords(choice.effect, pace, units);
  const { edit } = choice;
  return (
    <button type="button" onClick={onPick}>
      <span>{edit.edit === 'size' ? `${label} ${formatDiameter(edit.diameterMm, units)}` : label}</span>
      <small>{brings.length > 0 ? brings.join(', ') : 'no difference to feel'}</small>
    </button>
  );
}

/** The parting changed at the chair: one tap to change it, one to take it back, each with what it brings. */
export function PartingDialog({
  log,
  parting,
  drawn,
  pace,
  first,
  onClose,
}: Pick<ChairViewProps, 'log' | 'parting' | 'drawn'> & {
  /** Actual over planned time. */
  readonly pace: number;
  /** The section that is looked at first. */
  readonly first: number;
  readonly onClose: () => void;
}) {
  const { state, record } = log;
  const [picked, setPicked] = useState(first);
  const [chosen, setChosen] = useState(0);
  const [answer, setAnswer] = useState<{ key: string; choices: readonly PartingChoice[] } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const open = drawn.filter(({ number }) => !state.doneAtMs.has(number)).map(({ number }) => number);
  const section = open.includes(picked) ? picked : (open[0] ?? null);
  const key = `${section}/${state.parting.edits.map(({ id }) => id).join()}/${state.doneAtMs.size}`;
  const { choicesAt, holdsWithout, isWorking } = parting;
  useEffect(() => {
    if (section === null || isWorking) return;
    let isOver = false;
    void choicesAt(section).then((choices) => {
      if (!isOver) setAnswer({ key, choices });
    });
    return () => {
      isOver = true;
    };
    // What is asked is told by the key: the question itself is another function at each tap.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, isWorking]);
  const choices = answer?.key === key ? answer.choices : null;
  const takeBack = async (id: string) => {
    const why = await holdsWithout([id]);
    setProblem(why && 'What was changed after it builds on it: take that back first.');
    if (!why) record('taken-back', { of: [id] });
  };
  const of = (edit: PartingEdit['edit']) => choices?.filter((choice) => choice.edit.edit === edit) ?? [];
  const besides = [...new Set(choices?.flatMap(({ edit }) => ('beside' in edit ? [edit.beside] : [])))];
  const beside = besides.includes(chosen) ? chosen : (besides[0] ?? null);
  const buttons = (edits: readonly { edit: PartingEdit['edit']; label: string }[]) =>
    edits.flatMap(({ edit, label }) =>
      of(edit)
        .filter((choice) => !('beside' in choice.edit) || choice.edit.beside === beside)
        .map((choice) => (
          <ChoiceButton
            key={JSON.stringify(choice.edit)}
            label={label}
            choice={choice}
            pace={pace}
            onPick={() => {
              setProblem(null);
              record('parted', { parting: choice.edit });
            }}
          />
        )),
    );
  return (
    <ChairDialog open title="Part it otherwise" onClose={onClose} maxWidth="sm">
      {section === null ? (
        <p>Every section is done: undo one to part it otherwise.</p>
      ) : (
        <>
          <div className={styles.pickSection}>
            <SectionSelect numbers={open} value={section} onPick={setPicked} />
          </div>
          <div className={styles.partings} aria-busy={choices === null}>
            {choices === null && <p role="status">Working out what each would bring…</p>}
            <div className={styles.partWays}>{buttons(ALONE)}</div>
            {beside !== null && (
              <>
                <div className={styles.suggested} role="group" aria-label="With the section beside it">
                  <span>With</span>
                  {besides.map((number) => (
                    <button
                      key={number}
                      type="button"
                      aria-pressed={number === beside}
                      onClick={() => setChosen(number)}
                    >
                      {sectionName(number)}
                    </button>
                  ))}
                </div>
                <div className={styles.partWays}>{buttons(WITH_BESIDE)}</div>
              </>
            )}
          </div>
        </>
      )}
      {problem && <p role="alert">{problem}</p>}
      {state.parting.edits.length > 0 && (
        <ul className={styles.changed} aria-label="Changed so far">
          {state.parting.edits.toReversed().map(({ id, edit }) => (
            <li key={id}>
              <span>{capitalised(partingWords(edit))}</span>
              <button type="button" onClick={() => void takeBack(id)}>
                Take back
              </button>
            </li>
          ))}
        </ul>
      )}
    </ChairDialog>
  );
}
