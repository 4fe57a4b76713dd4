'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Link from '@/ui/shell/link';
import { Controller, useWatch } from 'react-hook-form';
import { TECHNIQUE_IDS, techniqueOf, type TechniqueId } from '@/core/techniques';
import { MAX_SECTIONS, MIN_SECTIONS } from '@/core/parting/generate';
import { OFFERED_REASONS, endReasons } from '@/core/wear/end-reasons';
import { HOUR_MS } from '@/core/units/time';
import { TypedBackNote } from '@/ui/feedback/typed-back-note';
import { FormField } from '@/ui/fields/form-field';
import { FormSelect } from '@/ui/fields/form-select';
import { NumberField } from '@/ui/fields/number-field';
import { SelectField } from '@/ui/fields/select-field';
import { dateInZone, pickedWords } from '@/ui/format';
import { localTimeOf } from '@/core/schedule/local-time';
import { useCheckedForm } from '@/ui/hooks/use-checked-form';
import { enterSet } from './actions';
import type { loadEnterSet } from './queries';
import { enterSetForm, type EnterSetValues } from './sets-input';
import styles from './enter-set.module.css';

/** Writes a set down that was done elsewhere. */
export function EnterSet({
  heads,
  clock,
  nowMs,
  headId,
}: Awaited<ReturnType<typeof loadEnterSet>> & { headId: string | null }) {
  const ago = (hours: number) => localTimeOf(nowMs - hours * HOUR_MS, clock.timeZone);
  const { form, submit, problem, busy, unsaved } = useCheckedForm({
    schema: enterSetForm,
    values: {
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
      reason: '' as EnterSetValues['reason'],
      note: '',
    },
    unsavedAs: 'enter-set',
    save: (filled) => enterSet({ form: filled }),
    onKept: ({ id }) => `/sets/${id}`,
  });
  const { control } = form;
  const now = useWatch({ control });
  if (heads.length === 0)
    return (
      <p>
        Whose hair was it? <Link href="/heads/new">Measure the head first</Link>; the set is then written down
        for it.
      </p>
    );
  const time = (label: string, name: 'begun' | 'installed' | 'dried' | 'takenDown', hint?: string) => (
    <FormField
      control={control}
      name={name}
      type="datetime-local"
      label={label}
      hint={pickedWords(now[name] ?? '', clock) ?? hint}
    />
  );
  return (
    <form className={styles.form} onSubmit={submit} noValidate>
      <TypedBackNote isBack={unsaved.isBack} drop={unsaved.drop} />
      <FormSelect
        control={control}
        name="headId"
        label="Whose hair"
        options={heads.map(({ id, name }) => ({ value: id, label: name }))}
      />
      <Controller
        control={control}
        name="technique"
        render={({ field }) => (
          <SelectField
            label="What was done"
            value={field.value}
            options={TECHNIQUE_IDS.map((id) => ({ value: id, label: techniqueOf(id).label }))}
            onChange={(id) => {
              field.onChange(id);
              form.setValue('sections', techniqueOf(id as TechniqueId).usualSections, { shouldDirty: true });
            }}
          />
        )}
      />
      <Controller
        control={control}
        name="sections"
        render={({ field }) => (
          <NumberField
            label="Sections, about"
            value={field.value}
            low={MIN_SECTIONS}
            high={MAX_SECTIONS}
            whole
            onCommit={field.onChange}
          />
        )}
      />
      <FormField control={control} name="title" label="Name, if it has one" />
      {time('Begun', 'begun')}
      {time('Set finished', 'installed')}
      {time('Dry', 'dried', 'Leave it empty where nobody knows')}
      {time('Taken down', 'takenDown')}
      <label className={styles.over}>
        <input type="checkbox" {...form.register('isOver')} />
        It is over already
      </label>
      {now.isOver && (
        <>
          <FormField
            control={control}
            name="lastGoodDate"
            type="date"
            label="Last day she was happy with it"
            hint={pickedWords(now.lastGoodDate ?? '', clock)}
            range={{ max: dateInZone(nowMs, clock.timeZone) }}
          />
          <FormSelect
            control={control}
            name="reason"
            label="Why"
            options={[
              { value: '', label: 'Choose…' },
              ...OFFERED_REASONS.map((id) => ({ value: id, label: endReasons[id].label })),
            ]}
          />
        </>
      )}
      <div className={styles.wide}>
        <FormField control={control} name="note" label="Anything else" lines={1} />
      </div>
      <div className={styles.wide}>
        {problem && <Alert severity="warning">{problem.text}</Alert>}
        <Button type="submit" variant="contained" disabled={busy}>
          Write it down
        </Button>
      </div>
    </form>
  );
}
