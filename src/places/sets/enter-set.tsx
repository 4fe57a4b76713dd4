'use client';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { TECHNIQUE_IDS, techniqueOf, type TechniqueId } from '@/core/techniques';
import { MAX_SECTIONS, MIN_SECTIONS } from '@/core/parting/generate';
import { END_REASON_IDS, endReasons, type EndReasonId } from '@/core/wear/end-reasons';
import { HOUR_MS } from '@/core/units/time';
import { NumberField } from '@/ui/fields/number-field';
import { SelectField } from '@/ui/fields/select-field';
import { dateInZone, pickedWords } from '@/ui/format';
import { localTimeOf } from '@/core/schedule/local-time';
import { useAction } from '@/ui/hooks/use-action';
import { useUnsaved } from '@/ui/hooks/use-unsaved';
import { enterSet } from './actions';
import type { loadEnterSet } from './queries';
import styles from './enter-set.module.css';

/** Writes a set down that was done elsewhere. */
export function EnterSet({
  heads,
  clock,
  nowMs,
  headId,
}: Awaited<ReturnType<typeof loadEnterSet>> & { headId: string | null }) {
  const router = useRouter();
  const { run, isBusy, problem, errors } = useAction();
  const ago = (hours: number) => localTimeOf(nowMs - hours * HOUR_MS, clock.timeZone);
  const [start] = useState(() => ({
    headId: headId ?? heads[0]?.id ?? '',
    technique: TECHNIQUE_IDS[0]! as TechniqueId,
    sections: techniqueOf(TECHNIQUE_IDS[0]!).usualSections,
    title: '',
    begun: ago(48),
    installed: ago(46),
    dried: '',
    takenDown: ago(36),
    isOver: false,
    lastGoodDate: '',
    reason: '' as EndReasonId | '',
    note: '',
  }));
  const { value: form, change, forget } = useUnsaved('enter-set', start);
  if (heads.length === 0)
    return (
      <p>
        Whose hair was it? <Link href="/heads/new">Measure the head first</Link>; the set is then written down
        for it.
      </p>
    );
  const errorAt = (path: string) => errors.find((error) => error.path === path)?.message;
  const time = (label: string, key: 'begun' | 'installed' | 'dried' | 'takenDown', helper?: string) => (
    <TextField
      type="datetime-local"
      label={label}
      value={form[key]}
      error={errorAt(key) !== undefined}
      helperText={errorAt(key) ?? pickedWords(form[key], clock) ?? helper}
      slotProps={{ inputLabel: { shrink: true } }}
      onChange={(event) => change({ [key]: event.target.value })}
    />
  );
  const keep = () =>
    run(
      () =>
        enterSet({
          headId: form.headId,
          technique: form.technique,
          sections: form.sections,
          title: form.title,
          begun: form.begun,
          installed: form.installed,
          dried: form.dried || null,
          takenDown: form.takenDown,
          ended: form.isOver ? { date: form.lastGoodDate, reason: form.reason as EndReasonId } : null,
          note: form.note,
        }),
      ({ id }) => {
        forget();
        router.push(`/sets/${id}`);
      },
    );
  return (
    <form
      className={styles.form}
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <SelectField
        label="Whose hair"
        value={form.headId}
        options={heads.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(id) => change({ headId: id })}
      />
      <SelectField
        label="What was done"
        value={form.technique}
        options={TECHNIQUE_IDS.map((id) => ({ value: id, label: techniqueOf(id).label }))}
        onChange={(id) => {
          const technique = id as TechniqueId;
          change({ technique, sections: techniqueOf(technique).usualSections });
        }}
      />
      <NumberField
        label="Sections, about"
        value={form.sections}
        low={MIN_SECTIONS}
        high={MAX_SECTIONS}
        whole
        onCommit={(sections) => change({ sections })}
      />
      <TextField
        label="Name, if it has one"
        value={form.title}
        onChange={(event) => change({ title: event.target.value })}
        slotProps={{ htmlInput: { maxLength: 80 } }}
      />
      {time('Begun', 'begun')}
      {time('Set finished', 'installed')}
      {time('Dry', 'dried', 'Leave it empty where nobody knows')}
      {time('Taken down', 'takenDown')}
      <label className={styles.over}>
        <input
          type="checkbox"
          checked={form.isOver}
          onChange={(event) => change({ isOver: event.target.checked })}
        />
        It is over already
      </label>
      {form.isOver && (
        <>
          <TextField
            type="date"
            label="Last day she was happy with it"
            value={form.lastGoodDate}
            error={errorAt('ended.date') !== undefined}
            helperText={errorAt('ended.date') ?? pickedWords(form.lastGoodDate, clock)}
            slotProps={{
              inputLabel: { shrink: true },
              htmlInput: { max: dateInZone(nowMs, clock.timeZone) },
            }}
            onChange={(event) => change({ lastGoodDate: event.target.value })}
          />
          <SelectField
            label="Why"
            value={form.reason}
            options={[
              { value: '', label: 'Choose…' },
              ...END_REASON_IDS.map((id) => ({ value: id, label: endReasons[id].label })),
            ]}
            onChange={(reason) => change({ reason: reason as EndReasonId })}
            error={errorAt('ended.reason')}
          />
        </>
      )}
      <TextField
        className={styles.wide}
        label="Anything else"
        multiline
        value={form.note}
        onChange={(event) => change({ note: event.target.value })}
        slotProps={{ htmlInput: { maxLength: 500 } }}
      />
      <div className={styles.wide}>
        {problem}
        <Button type="submit" variant="contained" disabled={isBusy}>
          Write it down
        </Button>
      </div>
    </form>
  );
}
