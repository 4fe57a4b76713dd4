'use client';
import type { ReactNode } from 'react';
import { DENSITY_PER_CM2, POROSITY, STRAND_UM, type Porosity } from '@/core/coefficients/hair';
import { MOST_WANTS, WANT_LABEL, WANTS } from '@/core/coefficients/wants';
import { HEAD_RANGES } from '@/core/formats/ranges';
import type { Condition } from '@/core/formats/brief';
import { perZone, ZONE_LABEL, ZONES } from '@/core/hair/zone';
import { capitalised } from '@/core/words/words';
import { hairTone, skinTone } from '@/ui/crown-map/tones';
import { LengthField } from '@/ui/fields/length-field';
import { NumberField } from '@/ui/fields/number-field';
import TextField from '@mui/material/TextField';
import { formatLength } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { CONDITION_LABEL } from '../condition-labels';
import type { HeadFormValues } from '../head-input';
import { HangPicture, ScalpPicture, StrandPicture, WaterPicture } from './pictures';
import { BEEN, isScalp, type MeasureStepId } from './steps-known';
import { ThingPicture } from './thing-picture';
import { BEYOND, DIFFERS, nearestThing, REACHES, THINGS, type Differs } from './things';
import { Pill } from '@/ui/fields/pill';
import styles from './measure.module.css';

export interface StepBodyProps {
  readonly form: HeadFormValues;
  readonly errorOf: (name: string) => string | undefined;
  /** Takes an answer; with `next` the way goes on by itself. */
  readonly onAnswer: (part: Partial<HeadFormValues>, isNext?: boolean) => void;
  readonly isKnown: boolean;
}

/** A card that is pressed to answer. */
function Card({
  isChosen,
  title,
  note,
  picture,
  onPress,
}: {
  isChosen: boolean;
  title: string;
  note?: string;
  picture: ReactNode;
  onPress: () => void;
}) {
  return (
    <button type="button" className={styles.card} aria-pressed={isChosen} onClick={onPress}>
      {picture}
      <b>{title}</b>
      {note && <small>{note}</small>}
    </button>
  );
}

function LengthStep({ form, errorOf, onAnswer }: StepBodyProps) {
  const { units } = useUnits();
  const { low, high } = HEAD_RANGES.stretchedLengthCm;
  return (
    <>
      <div className={styles.words} role="group" aria-label="It reaches, all over">
        {REACHES.map(({ label, cm }) => (
          <Pill
            key={label}
            label={`${label}, ${formatLength(cm, units)}`}
            isPressed={ZONES.every((zone) => form.lengthCm[zone] === cm)}
            onPress={() => onAnswer({ lengthCm: perZone(() => cm) })}
          />
        ))}
      </div>
      <p className={styles.hint}>Or with a tape, each zone for itself; the back is the longest on most.</p>
      <div className={styles.fields}>
        {ZONES.map((zone) => (
          <LengthField
            key={zone}
            label={capitalised(ZONE_LABEL[zone])}
            valueCm={form.lengthCm[zone]}
            lowCm={low}
            highCm={high}
            error={errorOf(`lengthCm.${zone}`)}
            onChange={(cm) => onAnswer({ lengthCm: { ...form.lengthCm, [zone]: cm } })}
          />
        ))}
      </div>
    </>
  );
}

function HangsStep({ form, onAnswer, isKnown }: StepBodyProps) {
  const crown = form.lengthCm.crown;
  const { units } = useUnits();
  const share = 1 - form.shrinkagePercent / 100;
  if (crown === null || !(crown > 0))
    return (
      <p className={styles.hint}>
        Measure the length pulled straight first; then say how long the crown looks as it hangs.
      </p>
    );
  return (
    <div className={styles.pair}>
      <HangPicture share={share} hair={hairTone(form.hairTone).stroke} />
      <div>
        <LengthField
          label="Crown, as it hangs"
          valueCm={isKnown ? Math.round(crown * share * 2) / 2 : null}
          lowCm={0.5}
          highCm={crown}
          onChange={(cm) => {
            if (cm === null || !(cm > 0) || cm > crown) return;
            const percent = Math.round(100 * (1 - cm / crown));
            onAnswer({ shrinkagePercent: Math.min(percent, 100 * HEAD_RANGES.shrinkage.high) });
          }}
        />
        <p className={styles.hint}>
          Clean and dry, no product. Pulled straight it is {formatLength(crown, units)}
          {isKnown && `: it draws up by ${Math.round(form.shrinkagePercent)} in 100`}.
        </p>
        <div className={styles.words} role="group" aria-label="Or by eye">
          {[
            ['hardly shorter', 15],
            ['a third shorter', 33],
            ['half as long', 50],
            ['a third is left', 67],
            ['a quarter is left', 75],
          ].map(([label, percent]) => (
            <Pill
              key={label}
              label={String(label)}
              isPressed={isKnown && form.shrinkagePercent === percent}
              onPress={() => onAnswer({ shrinkagePercent: Number(percent) }, true)}
            />
          ))}
        </div>
      </div>
    </div>
  );
}

function CoilStep({ form, onAnswer, isKnown }: StepBodyProps) {
  const mm = form.naturalCoilDiameterMm;
  const nearest = nearestThing(mm).id;
  const answer = (naturalCoilDiameterMm: number, isNext = true) =>
    onAnswer({ naturalCoilDiameterMm }, isNext);
  return (
    <>
      <div className={styles.cards}>
        {THINGS.map((thing) => (
          <Card
            key={thing.id}
            title={thing.label}
            isChosen={isKnown && nearest === thing.id}
            picture={
              <ThingPicture
                id={thing.id}
                mm={thing.mm}
                hair={hairTone(form.hairTone).stroke}
                skin={skinTone(form.skinTone).fill}
              />
            }
            onPress={() => answer(thing.mm)}
          />
        ))}
      </div>
      <div className={styles.words}>
        {BEYOND.map((beyond) => (
          <Pill
            key={beyond.id}
            label={beyond.label}
            isPressed={isKnown && nearest === beyond.id}
            onPress={() => answer(beyond.mm)}
          />
        ))}
      </div>
      <details className={styles.more}>
        <summary>more: in mm</summary>
        <NumberField
          label="Width of one coil"
          unit="mm"
          value={mm}
          {...HEAD_RANGES.naturalCoilDiameterMm}
          width={180}
          onCommit={(typed) => answer(typed, false)}
        />
      </details>
    </>
  );
}

const STRANDS = [
  { id: 'fine', title: 'Hardly felt', note: 'thinner than the thread: fine', width: 1.6 },
  { id: 'medium', title: 'Felt like the thread', note: 'neither fine nor coarse', width: 3 },
  { id: 'coarse', title: 'Felt more than the thread', note: 'wiry, it rustles: coarse', width: 5 },
] as const;

const SCALPS = [
  { id: 'low', title: 'Scalp shows', note: 'without parting it: thin', shows: 1 },
  { id: 'medium', title: 'Shows when parted', note: 'a clear line: medium', shows: 0.45 },
  { id: 'high', title: 'Hardly shows', note: 'even when parted: thick', shows: 0.1 },
] as const;

const WATERS: Readonly<Record<Porosity, { title: string; note: string }>> = {
  low: { title: 'Beads and rolls off', note: 'low porosity' },
  medium: { title: 'Sits, then sinks in', note: 'medium porosity' },
  high: { title: 'Drinks at once', note: 'high porosity' },
};

function DenseStep({ form, onAnswer, isKnown }: StepBodyProps) {
  return (
    <>
      <div className={styles.cards}>
        {SCALPS.map(({ id, title, note, shows }) => (
          <Card
            key={id}
            title={title}
            note={note}
            isChosen={isKnown && form.densityFrom === 'feel' && form.densityPerCm2 === DENSITY_PER_CM2[id]}
            picture={<ScalpPicture shows={shows} hair={hairTone(form.hairTone).stroke} />}
            onPress={() =>
              onAnswer(
                { densityFrom: 'feel', densityPerCm2: DENSITY_PER_CM2[id], ponytailCircumferenceCm: null },
                true,
              )
            }
          />
        ))}
      </div>
      <div className={styles.narrow}>
        <LengthField
          label="Or round the ponytail, gripped firmly"
          valueCm={form.ponytailCircumferenceCm}
          lowCm={HEAD_RANGES.ponytailCircumferenceCm.low}
          highCm={HEAD_RANGES.ponytailCircumferenceCm.high}
          onChange={(cm) =>
            cm === null
              ? onAnswer({ densityFrom: 'feel', ponytailCircumferenceCm: null })
              : onAnswer({ densityFrom: 'ponytail', ponytailCircumferenceCm: cm })
          }
        />
      </div>
    </>
  );
}

/** Conditions with one more, or one less. */
const toggled = (conditions: readonly Condition[], one: Condition): Condition[] =>
  conditions.includes(one) ? conditions.filter((other) => other !== one) : [...conditions, one];

function DiffersStep({ form, onAnswer }: StepBodyProps) {
  const base = form.naturalCoilDiameterMm;
  const nowOf = (zone: (typeof ZONES)[number]): Differs | 'same' => {
    const mm = form.zoneCoilMm[zone];
    return mm === undefined ? 'same' : mm < base ? 'tighter' : 'looser';
  };
  const choose = (zone: (typeof ZONES)[number], differs: Differs | 'same') => {
    const { [zone]: _, ...rest } = form.zoneCoilMm;
    onAnswer({
      zoneCoilMm:
        differs === 'same' ? rest : { ...rest, [zone]: Math.round(base * DIFFERS[differs] * 2) / 2 },
    });
  };
  return (
    <ul className={styles.zones}>
      {ZONES.map((zone) => (
        <li key={zone}>
          <span id={`zone-${zone}`}>{capitalised(ZONE_LABEL[zone])}</span>
          <span role="group" aria-labelledby={`zone-${zone}`} className={styles.three}>
            {(['tighter', 'same', 'looser'] as const).map((differs) => (
              <Pill
                key={differs}
                label={differs}
                isPressed={nowOf(zone) === differs}
                onPress={() => choose(zone, differs)}
              />
            ))}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** What is asked in one step, and how it is answered. */
export function StepBody({ id, ...props }: StepBodyProps & { id: MeasureStepId }) {
  const { form, errorOf, onAnswer, isKnown } = props;
  const hair = hairTone(form.hairTone).stroke;
  const text = (name: 'name' | 'description' | 'allergies', label: string) => (
    <TextField
      label={label}
      value={form[name]}
      fullWidth
      error={errorOf(name) !== undefined}
      helperText={errorOf(name)}
      onChange={(event) => onAnswer({ [name]: event.target.value })}
    />
  );
  const condition = (one: Condition) => (
    <Pill
      key={one}
      label={CONDITION_LABEL[one]}
      isPressed={form.conditions.includes(one)}
      onPress={() => onAnswer({ conditions: toggled(form.conditions, one) })}
    />
  );
  switch (id) {
    case 'who':
      return (
        <div className={styles.column}>
          {text('name', 'Name')}
          {text('description', 'In a few words')}
          <div className={styles.words}>{condition('child')}</div>
        </div>
      );
    case 'length':
      return <LengthStep {...props} />;
    case 'hangs':
      return <HangsStep {...props} />;
    case 'coil':
      return <CoilStep {...props} />;
    case 'strand':
      return (
        <div className={styles.cards}>
          {STRANDS.map(({ id: level, title, note, width }) => (
            <Card
              key={level}
              title={title}
              note={note}
              isChosen={isKnown && form.strandDiameterUm === STRAND_UM[level]}
              picture={<StrandPicture width={width} hair={hair} />}
              onPress={() => onAnswer({ strandDiameterUm: STRAND_UM[level] }, true)}
            />
          ))}
        </div>
      );
    case 'dense':
      return <DenseStep {...props} />;
    case 'drinks':
      return (
        <>
          <div className={styles.cards}>
            {(Object.keys(POROSITY) as Porosity[]).map((porosity) => (
              <Card
                key={porosity}
                title={WATERS[porosity].title}
                note={WATERS[porosity].note}
                isChosen={isKnown && form.porosity === porosity}
                picture={<WaterPicture porosity={porosity} hair={hair} />}
                onPress={() => onAnswer({ porosity }, true)}
              />
            ))}
          </div>
          <p className={styles.hint}>
            A rough sign: clean hair without product, three sprays, half a minute.
          </p>
        </>
      );
    case 'been':
      return <div className={styles.words}>{BEEN.map(condition)}</div>;
    case 'differs':
      return <DiffersStep {...props} />;
    case 'scalp':
      return (
        <div className={styles.words}>
          <Pill
            label="Calm"
            isPressed={!form.conditions.some(isScalp)}
            onPress={() => onAnswer({ conditions: form.conditions.filter((one) => !isScalp(one)) }, true)}
          />
          {condition('flaking-scalp')}
          {condition('sore-scalp')}
        </div>
      );
    case 'reacts':
      return (
        <div className={styles.column}>
          {text('allergies', 'Allergies and cautions')}
          <div className={styles.words}>{condition('protein-sensitive')}</div>
        </div>
      );
    case 'likes':
      return (
        <div className={styles.words}>
          {WANTS.map((want) => (
            <Pill
              key={want}
              label={WANT_LABEL[want]}
              isPressed={form.likes.includes(want)}
              onPress={() =>
                onAnswer({
                  likes: form.likes.includes(want)
                    ? form.likes.filter((other) => other !== want)
                    : [...form.likes, want].slice(-MOST_WANTS),
                })
              }
            />
          ))}
        </div>
      );
  }
}
