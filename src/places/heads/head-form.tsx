'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { Controller, useWatch } from 'react-hook-form';
import { HEAD_RANGES } from '@/core/formats/ranges';
import { CONDITIONS } from '@/core/formats/brief';
import { DENSITY_PER_CM2, POROSITY, STRAND_UM, type Porosity } from '@/core/coefficients/hair';
import { ponytailDensityPerCm2, scalpAreaCm2, type Knowable } from '@/core/hair/head';
import { ZONES, ZONE_LABEL } from '@/core/hair/zone';
import { drawZones } from '@/core/parting/drawn-layout';
import { capitalised, listed } from '@/core/words/words';
import { MEASURING } from './measuring';
import { CrownMap } from '@/ui/crown-map/crown-map';
import { HAIR_TONES, SKIN_TONES } from '@/ui/crown-map/tones';
import { ChoiceList } from '@/ui/fields/choice-list';
import { FormField } from '@/ui/fields/form-field';
import { FormLength } from '@/ui/fields/form-length';
import { FormSelect } from '@/ui/fields/form-select';
import { NumberField } from '@/ui/fields/number-field';
import { SelectField } from '@/ui/fields/select-field';
import { formatLength } from '@/ui/format';
import { TypedBackNote } from '@/ui/feedback/typed-back-note';
import { useCheckedForm } from '@/ui/hooks/use-checked-form';
import { useUnits } from '@/ui/units-context';
import { Part } from '@/ui/shell/page';
import { saveHead } from './actions';
import { CONDITION_LABEL } from './condition-labels';
import { headForm, type HeadFormValues } from './head-input';
import { DENSITY_WORDS, nearestLevel } from './level-words';
import styles from './head-form.module.css';
import { LinkButton } from '@/ui/shell/link-button';

export interface HeadFormProps {
  readonly id: string | null;
  readonly revision: number;
  readonly values: HeadFormValues;
}

const ZONE_MAP = drawZones();

/** The fields of the form that say what is known of a head. */
const FILLED_BY: Readonly<Record<Knowable, readonly (keyof HeadFormValues)[]>> = {
  stretchedLengthCm: ['lengthCm'],
  shrinkage: ['shrinkagePercent'],
  naturalCoilDiameterMm: ['naturalCoilDiameterMm'],
  strandDiameterUm: ['strandDiameterUm'],
  densityPerCm2: ['densityPerCm2', 'ponytailCircumferenceCm', 'densityFrom'],
  porosity: ['porosity'],
  circumferenceCm: ['circumferenceCm'],
};

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

const isFilled = (field: Knowable, before: HeadFormValues, now: HeadFormValues) =>
  FILLED_BY[field].some((name) => JSON.stringify(before[name]) !== JSON.stringify(now[name]));

/** The form of a head: who, how long in each zone, what the hair is like, and what to mind. */
export function HeadForm({ id, revision, values }: HeadFormProps) {
  const { units } = useUnits();
  const { form, submit, problem, busy, unsaved } = useCheckedForm({
    schema: headForm,
    values,
    unsavedAs: `head.${id ?? 'new'}`,
    // What is filled in by hand is known from then on.
    save: (filled) =>
      saveHead({
        id,
        revision,
        form: { ...filled, notKnown: filled.notKnown.filter((field) => !isFilled(field, values, filled)) },
      }),
    onKept: ({ id: kept }) => `/heads/${kept}`,
  });
  const now = { ...values, ...useWatch({ control: form.control }) } as HeadFormValues;

  const ponytailCm = now.ponytailCircumferenceCm;
  const ponytailDensity =
    ponytailCm !== null && now.circumferenceCm !== null && ponytailCm > 0
      ? ponytailDensityPerCm2(ponytailCm, now.strandDiameterUm, scalpAreaCm2(now.circumferenceCm))
      : null;

  return (
    <form className={styles.form} onSubmit={submit} noValidate>
      <TypedBackNote isBack={unsaved.isBack} drop={unsaved.drop} />
      <div className={styles.columns}>
        <div>
          <Part title="Who">
            <div className={styles.fields}>
              <FormField control={form.control} name="name" label="Name" />
              <div className={styles.span}>
                <FormField
                  control={form.control}
                  name="description"
                  label="In a few words"
                  placeholder="dense coils, bleached ends"
                />
              </div>
            </div>
          </Part>
          <Part title="Length in each zone" note="pulled straight, same tension everywhere">
            <div className={styles.fields}>
              {ZONES.map((zone) => (
                <FormLength
                  key={zone}
                  control={form.control}
                  name={`lengthCm.${zone}`}
                  label={capitalised(ZONE_LABEL[zone])}
                  range={HEAD_RANGES.stretchedLengthCm}
                />
              ))}
            </div>
          </Part>
          <Part
            title="The hair"
            note={
              now.notKnown.length > 0
                ? `not known yet: ${listed(now.notKnown.map((field) => MEASURING[field].name))}`
                : undefined
            }
          >
            <div className={styles.fields}>
              <FormLength
                control={form.control}
                name="circumferenceCm"
                label="Round the head"
                range={HEAD_RANGES.circumferenceCm}
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
              <FormSelect
                control={form.control}
                name="porosity"
                label="Porosity"
                options={(Object.keys(POROSITY) as Porosity[]).map((value) => ({
                  value,
                  label: POROSITY[value].label,
                }))}
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
                  <FormLength
                    control={form.control}
                    name="ponytailCircumferenceCm"
                    label="Round the ponytail, gripped firmly"
                    range={HEAD_RANGES.ponytailCircumferenceCm}
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
                              : field.value.filter((other) => other !== condition),
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
              <FormField control={form.control} name="allergies" label="Allergies and cautions" />
              <FormField control={form.control} name="notes" label="Notes" lines={2} />
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
            <FormSelect
              control={form.control}
              name="skinTone"
              label="Skin"
              options={Object.entries(SKIN_TONES).map(([value, { label }]) => ({ value, label }))}
            />
            <FormSelect
              control={form.control}
              name="hairTone"
              label="Hair"
              options={Object.entries(HAIR_TONES).map(([value, { label }]) => ({ value, label }))}
            />
          </div>
        </aside>
      </div>
      {problem && (
        <Alert severity="warning" className={styles.alert}>
          {problem.text} {problem.isConflict && <a href={`/heads/${id}`}>See the other version</a>}
        </Alert>
      )}
      <footer className={styles.footer}>
        <Button type="submit" variant="contained" disabled={busy}>
          Keep this head
        </Button>
        <LinkButton href={id ? `/heads/${id}` : '/heads'}>Leave</LinkButton>
      </footer>
    </form>
  );
}
