'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { HEAD_RANGES, type Range } from '@/core/formats/ranges';
import { CONDITIONS, type Condition, type HeadInput } from '@/core/formats/brief';
import { DENSITY_PER_CM2, POROSITY, STRAND_UM, type Porosity } from '@/core/coefficients/hair';
import type { FieldError } from '@/core/formats/field-error';
import { ponytailDensityPerCm2, scalpAreaCm2 } from '@/core/hair/head';
import { ZONES, ZONE_LABEL, type Zone } from '@/core/hair/zone';
import { drawZones } from '@/core/parting/drawn-layout';
import { capitalised } from '@/core/words/words';
import { CrownMap } from '@/ui/crown-map/crown-map';
import { HAIR_TONES, SKIN_TONES } from '@/ui/crown-map/tones';
import { ChoiceList } from '@/ui/fields/choice-list';
import { LengthField } from '@/ui/fields/length-field';
import { NumberField } from '@/ui/fields/number-field';
import { SelectField } from '@/ui/fields/select-field';
import { formatLength } from '@/ui/format';
import { useUnsavedForm } from '@/ui/hooks/use-unsaved-form';
import { useUnits } from '@/ui/units-context';
import { Part } from '@/ui/shell/page';
import { saveHead } from './actions';
import { CONDITION_LABEL } from './condition-labels';
import type { HeadCardInput } from './head-input';
import { DENSITY_WORDS, nearestLevel } from './level-words';
import styles from './head-form.module.css';
import { LinkButton } from '@/ui/shell/link-button';

export interface HeadFormValues extends HeadCardInput {
  readonly circumferenceCm: number | null;
  readonly densityFrom: 'feel' | 'ponytail';
  readonly densityPerCm2: number;
  readonly ponytailCircumferenceCm: number | null;
  readonly strandDiameterUm: number;
  readonly naturalCoilDiameterMm: number;
  readonly shrinkagePercent: number;
  readonly porosity: Porosity;
  readonly conditions: readonly Condition[];
  readonly lengthCm: Readonly<Record<Zone, number | null>>;
}

export interface HeadFormProps {
  readonly id: string | null;
  readonly revision: number;
  readonly values: HeadFormValues;
}

const ZONE_MAP = drawZones();

/** What is missing or wrong before anything is sent, by field. */
function problems(values: HeadFormValues): FieldError[] {
  const found: FieldError[] = [];
  if (values.name.trim() === '') found.push({ path: 'name', message: 'Write the name of this head' });
  for (const zone of ZONES) {
    const cm = values.lengthCm[zone];
    const { low, high } = HEAD_RANGES.stretchedLengthCm;
    if (cm === null) found.push({ path: `lengthCm.${zone}`, message: `Measure the ${ZONE_LABEL[zone]}` });
    else if (!(cm >= low && cm <= high)) {
      found.push({ path: `lengthCm.${zone}`, message: `${ZONE_LABEL[zone]}: ${low} to ${high} cm` });
    }
  }
  const outside = (value: number | null, { low, high }: Range) =>
    value === null || !(value >= low && value <= high) ? `${low} to ${high} cm` : null;
  const circumference = outside(values.circumferenceCm, HEAD_RANGES.circumferenceCm);
  if (circumference) found.push({ path: 'circumferenceCm', message: `Head circumference: ${circumference}` });
  const ponytail =
    values.densityFrom === 'ponytail'
      ? outside(values.ponytailCircumferenceCm, HEAD_RANGES.ponytailCircumferenceCm)
      : null;
  if (ponytail)
    found.push({ path: 'ponytailCircumferenceCm', message: `Ponytail circumference: ${ponytail}` });
  return found;
}

function measuredOf(values: HeadFormValues): HeadInput {
  return {
    circumferenceCm: values.circumferenceCm ?? undefined,
    ...(values.densityFrom === 'ponytail' && values.ponytailCircumferenceCm !== null
      ? { ponytailCircumferenceCm: values.ponytailCircumferenceCm }
      : { densityPerCm2: values.densityPerCm2 }),
    strandDiameterUm: values.strandDiameterUm,
    naturalCoilDiameterMm: values.naturalCoilDiameterMm,
    shrinkage: values.shrinkagePercent / 100,
    porosity: values.porosity,
    conditions: [...values.conditions],
    stretchedLengthCm: Object.fromEntries(ZONES.map((zone) => [zone, values.lengthCm[zone] ?? 0])) as Record<
      Zone,
      number
    >,
  };
}

/** Levels as hands say them; a figure between two of them stands as it was measured. */
function levels<const K extends string>(
  table: Readonly<Record<K, number>>,
  value: number,
  words?: Readonly<Record<K, string>>,
) {
  const options = (Object.keys(table) as K[]).map((level) => ({
    value: String(table[level]),
    label: words?.[level] ?? level,
  }));
  return options.some((option) => option.value === String(value))
    ? options
    : [
        ...options,
        {
          value: String(value),
          label: `as measured, near ${words?.[nearestLevel(table, value)] ?? nearestLevel(table, value)}`,
        },
      ];
}

/** The form of a head: who, how long in each zone, what the hair is like, and what to mind. */
export function HeadForm({ id, revision, values }: HeadFormProps) {
  const router = useRouter();
  const { units } = useUnits();
  const form = useForm<HeadFormValues>({ defaultValues: values });
  const now = { ...values, ...useWatch({ control: form.control }) } as HeadFormValues;
  const [errors, setErrors] = useState<readonly FieldError[]>([]);
  const [isConflict, setConflict] = useState(false);
  const [busy, setBusy] = useState(false);
  const unsaved = useUnsavedForm(`head.${id ?? 'new'}`, form);
  const errorAt = (path: string) => errors.find((error) => error.path === path)?.message;

  const submit = form.handleSubmit(async (filled) => {
    const found = problems(filled);
    setErrors(found);
    if (found.length > 0) return;
    setBusy(true);
    const { name, description, notes, allergies, skinTone, hairTone } = filled;
    try {
      const answer = await saveHead({
        id,
        revision,
        card: { name, description, notes, allergies, skinTone, hairTone },
        measured: measuredOf(filled),
      });
      if (answer.ok) {
        unsaved.forget();
        return router.push(`/heads/${answer.value.id}`);
      }
      setConflict(answer.code === 'conflict');
      setErrors(answer.errors);
    } catch {
      setErrors([{ path: '', message: 'No connection. What you typed is still here; try again' }]);
    }
    setBusy(false);
  });

  const ponytailCm = now.ponytailCircumferenceCm;
  const ponytailDensity =
    ponytailCm !== null && now.circumferenceCm !== null && ponytailCm > 0
      ? ponytailDensityPerCm2(ponytailCm, now.strandDiameterUm, scalpAreaCm2(now.circumferenceCm))
      : null;

  return (
    <form className={styles.form} onSubmit={submit} noValidate>
      {unsaved.isBack && (
        <Alert
          severity="info"
          className={styles.alert}
          action={
            <Button size="small" color="inherit" onClick={unsaved.drop}>
              Drop it
            </Button>
          }
        >
          What you typed before and did not save is back.
        </Alert>
      )}
      {errors.length > 0 && (
        <Alert severity="warning" className={styles.alert}>
          {isConflict ? (
            <>
              This head was changed in another tab. What you typed is still here.{' '}
              <a href={`/heads/${id}`}>See the other version</a>, then save again from a fresh form.
            </>
          ) : (
            errors.map((error) => <div key={error.path}>{error.message}.</div>)
          )}
        </Alert>
      )}
      <div className={styles.columns}>
        <div>
          <Part title="Who">
            <div className={styles.fields}>
              <TextField
                label="Name"
                fullWidth
                error={errorAt('name') !== undefined}
                helperText={errorAt('name')}
                {...form.register('name')}
              />
              <TextField
                className={styles.span}
                label="In a few words"
                placeholder="dense coils, bleached ends"
                fullWidth
                {...form.register('description')}
              />
            </div>
          </Part>
          <Part title="Length in each zone" note="pulled straight, same tension everywhere">
            <div className={styles.fields}>
              {ZONES.map((zone) => (
                <Controller
                  key={zone}
                  control={form.control}
                  name={`lengthCm.${zone}`}
                  render={({ field }) => (
                    <LengthField
                      label={capitalised(ZONE_LABEL[zone])}
                      valueCm={field.value}
                      lowCm={HEAD_RANGES.stretchedLengthCm.low}
                      highCm={HEAD_RANGES.stretchedLengthCm.high}
                      onChange={field.onChange}
                      error={errorAt(`lengthCm.${zone}`)}
                    />
                  )}
                />
              ))}
            </div>
          </Part>
          <Part title="The hair">
            <div className={styles.fields}>
              <Controller
                control={form.control}
                name="circumferenceCm"
                render={({ field }) => (
                  <LengthField
                    label="Round the head"
                    valueCm={field.value}
                    lowCm={46}
                    highCm={66}
                    onChange={field.onChange}
                    error={errorAt('circumferenceCm')}
                  />
                )}
              />
              <Controller
                control={form.control}
                name="strandDiameterUm"
                render={({ field }) => (
                  <SelectField
                    label="Strand"
                    value={String(field.value)}
                    options={levels(STRAND_UM, field.value)}
                    onChange={(value) => field.onChange(Number(value))}
                  />
                )}
              />
              <Controller
                control={form.control}
                name="naturalCoilDiameterMm"
                render={({ field }) => (
                  <NumberField
                    label="Width of one coil"
                    unit="mm"
                    value={field.value}
                    {...HEAD_RANGES.naturalCoilDiameterMm}
                    onCommit={field.onChange}
                  />
                )}
              />
              <Controller
                control={form.control}
                name="shrinkagePercent"
                render={({ field }) => (
                  <NumberField
                    label="Shrinkage"
                    unit="%"
                    value={field.value}
                    low={100 * HEAD_RANGES.shrinkage.low}
                    high={100 * HEAD_RANGES.shrinkage.high}
                    step={5}
                    onCommit={field.onChange}
                  />
                )}
              />
              <Controller
                control={form.control}
                name="porosity"
                render={({ field }) => (
                  <SelectField
                    label="Porosity"
                    value={field.value}
                    options={(Object.keys(POROSITY) as Porosity[]).map((value) => ({
                      value,
                      label: POROSITY[value].label,
                    }))}
                    onChange={field.onChange}
                  />
                )}
              />
            </div>
            <div className={styles.density}>
              <Controller
                control={form.control}
                name="densityFrom"
                render={({ field }) => (
                  <ChoiceList
                    inline
                    legend="How density is known"
                    value={field.value}
                    choices={[
                      { value: 'feel', label: 'Density by feel' },
                      { value: 'ponytail', label: 'From a ponytail' },
                    ]}
                    onChange={field.onChange}
                  />
                )}
              />
              {now.densityFrom === 'feel' ? (
                <Controller
                  control={form.control}
                  name="densityPerCm2"
                  render={({ field }) => (
                    <SelectField
                      label="Density"
                      value={String(field.value)}
                      options={levels(DENSITY_PER_CM2, field.value, DENSITY_WORDS)}
                      onChange={(value) => field.onChange(Number(value))}
                    />
                  )}
                />
              ) : (
                <>
                  <Controller
                    control={form.control}
                    name="ponytailCircumferenceCm"
                    render={({ field }) => (
                      <LengthField
                        label="Round the ponytail, gripped firmly"
                        valueCm={field.value}
                        lowCm={1}
                        highCm={25}
                        onChange={field.onChange}
                        error={errorAt('ponytailCircumferenceCm') ?? errorAt('head.ponytailCircumferenceCm')}
                      />
                    )}
                  />
                  {ponytailDensity !== null && Number.isFinite(ponytailDensity) && (
                    <p className={styles.hint}>
                      about {Math.round(ponytailDensity / 5) * 5} hairs on each cm²
                    </p>
                  )}
                </>
              )}
            </div>
          </Part>
          <Part title="What to mind">
            <Controller
              control={form.control}
              name="conditions"
              render={({ field }) => (
                <fieldset className={styles.conditions}>
                  <legend className="visually-hidden">Conditions</legend>
                  {CONDITIONS.map((condition) => (
                    <label key={condition}>
                      <input
                        type="checkbox"
                        checked={field.value.includes(condition)}
                        onChange={(event) =>
                          field.onChange(
                            event.target.checked
                              ? [...field.value, condition]
                              : field.value.filter((own) => own !== condition),
                          )
                        }
                      />
                      {CONDITION_LABEL[condition]}
                    </label>
                  ))}
                </fieldset>
              )}
            />
            <div className={styles.wide}>
              <TextField label="Allergies and cautions" fullWidth {...form.register('allergies')} />
              <TextField label="Notes" fullWidth multiline minRows={2} {...form.register('notes')} />
            </div>
          </Part>
        </div>
        <aside className={styles.aside}>
          <CrownMap
            name="Zones of the head"
            sections={ZONE_MAP}
            skin={now.skinTone}
            hair={now.hairTone}
            labelOf={(section) => {
              const cm = now.lengthCm[section.zone];
              return cm !== null && cm > 0 ? formatLength(cm, units) : ZONE_LABEL[section.zone];
            }}
            detailOf={(section) => {
              const cm = now.lengthCm[section.zone];
              return cm !== null && cm > 0 ? formatLength(cm, units) : 'not measured';
            }}
          />
          <div className={styles.fields}>
            <Controller
              control={form.control}
              name="skinTone"
              render={({ field }) => (
                <SelectField
                  label="Skin"
                  value={field.value}
                  options={Object.entries(SKIN_TONES).map(([value, { label }]) => ({ value, label }))}
                  onChange={field.onChange}
                />
              )}
            />
            <Controller
              control={form.control}
              name="hairTone"
              render={({ field }) => (
                <SelectField
                  label="Hair"
                  value={field.value}
                  options={Object.entries(HAIR_TONES).map(([value, { label }]) => ({ value, label }))}
                  onChange={field.onChange}
                />
              )}
            />
          </div>
        </aside>
      </div>
      <footer className={styles.footer}>
        <Button type="submit" variant="contained" disabled={busy}>
          Keep this head
        </Button>
        <LinkButton href={id ? `/heads/${id}` : '/heads'}>Leave</LinkButton>
      </footer>
    </form>
  );
}
