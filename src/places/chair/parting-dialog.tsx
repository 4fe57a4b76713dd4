'use client';
import { useEffect, useState } from 'react';
import type { PartingChoice } from '@/core/plan/parting-effect';
import { sectionName } from '@/core/parting/section-name';
import type { PartingEdit } from '@/core/run/parting-edit';
import { capitalised } from '@/core/words/words';
import { SelectField } from '@/ui/fields/select-field';
import { formatDiameter } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { ChairDialog } from './chair-dialog';
import type { ChairViewProps } from './chair-set';
import { effectWords } from './effect-words';
import { partingWords } from './parting-words';
import styles from './chair.module.css';

/** Ways to part a section otherwise, in the order they are shown; those about a section beside it name it on the button. */
const KINDS = [
  { edit: 'split', label: 'Part it in two' },
  { edit: 'join', label: 'Join it with' },
  { edit: 'thin', label: 'A quarter of its hair goes to' },
  { edit: 'between', label: 'One more between it and' },
  { edit: 'size', label: 'On another size' },
  { edit: 'leave-out', label: 'Leave it out' },
  { edit: 'add', label: 'Set what was left out' },
] as const satisfies readonly { edit: PartingEdit['edit']; label: string }[];

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
  const { units } = useUnits();
  const { state, record } = log;
  const [picked, setPicked] = useState(first);
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
  const nameOf = (edit: PartingEdit) =>
    'beside' in edit
      ? sectionName(edit.beside)
      : edit.edit === 'size'
        ? formatDiameter(edit.diameterMm, units)
        : edit.edit === 'add'
          ? `patch ${edit.patch + 1}`
          : null;
  return (
    <ChairDialog open title="Part it otherwise" onClose={onClose} maxWidth="sm">
      {section === null ? (
        <p>Every section is done: undo one to part it otherwise.</p>
      ) : (
        <>
          <div className={styles.pickSection}>
            <SelectField
              label="Section"
              value={String(section)}
              options={open.map((number) => ({ value: String(number), label: sectionName(number) }))}
              onChange={(number) => setPicked(Number(number))}
            />
          </div>
          <div className={styles.partings} aria-busy={choices === null}>
            {choices === null && <p role="status">Working out what each would bring…</p>}
            {KINDS.map(({ edit, label }) => {
              const own = choices?.filter((choice) => choice.edit.edit === edit) ?? [];
              if (own.length === 0) return null;
              return (
                <div key={edit} role="group" aria-label={label}>
                  <b>{label}</b>
                  <div>
                    {own.map((choice) => {
                      const words =
                        effectWords(choice.effect, pace, units).join(', ') || 'no difference to feel';
                      const name = nameOf(choice.edit);
                      return (
                        <button
                          key={JSON.stringify(choice.edit)}
                          type="button"
                          aria-label={`${label} ${name ?? ''}: ${words}`}
                          onClick={() => {
                            setProblem(null);
                            record('parted', { parting: choice.edit });
                          }}
                        >
                          {name && <span>{name}</span>}
                          <small>{words}</small>
                        </button>
                      );
                    })}
                  </div>
                </div>
              );
            })}
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
