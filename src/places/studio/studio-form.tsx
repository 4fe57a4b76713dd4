'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { HAND_IDS, hands, type HandId } from '@/core/coefficients/hands';
import type { DisplaySettings } from '@/core/formats/display';
import { CURRENCIES, type Currency } from '@/core/formats/money';
import { TRIM_WEEKS } from '@/core/formats/ranges';
import { NumberField } from '@/ui/fields/number-field';
import { SelectField } from '@/ui/fields/select-field';
import { useAction } from '@/ui/hooks/use-action';
import { saveStudio } from './actions';
import type { StudioCardInput } from './studio-input';
import styles from './studio-page.module.css';

type Choices<K extends keyof DisplaySettings> = readonly {
  readonly value: DisplaySettings[K];
  readonly label: string;
}[];

const DISPLAY: {
  readonly [K in keyof DisplaySettings]: { readonly label: string; readonly choices: Choices<K> };
} = {
  hours: {
    label: 'Clock',
    choices: [
      { value: 24, label: '24 hours, 17:45' },
      { value: 12, label: '12 hours, 5:45 pm' },
    ],
  },
  dateOrder: {
    label: 'Dates',
    choices: [
      { value: 'day-first', label: '13 Mar' },
      { value: 'month-first', label: 'Mar 13' },
      { value: 'year-first', label: '2027-03-13' },
    ],
  },
  firstDay: {
    label: 'Weeks begin on',
    choices: [
      { value: 1, label: 'Monday' },
      { value: 7, label: 'Sunday' },
      { value: 6, label: 'Saturday' },
    ],
  },
  length: {
    label: 'Lengths and rods',
    choices: [
      { value: 'cm', label: 'cm and mm' },
      { value: 'in', label: 'inches' },
    ],
  },
  mass: {
    label: 'Weights',
    choices: [
      { value: 'g', label: 'grams' },
      { value: 'oz', label: 'ounces' },
    ],
  },
  temperature: {
    label: 'Warmth',
    choices: [
      { value: 'C', label: '°C' },
      { value: 'F', label: '°F' },
    ],
  },
};
const DISPLAY_KEYS = Object.keys(DISPLAY) as (keyof DisplaySettings)[];

/** The card of the studio. */
export function StudioForm({
  card: before,
}: {
  card: Omit<StudioCardInput, 'currency'> & { currency: string };
}) {
  const router = useRouter();
  const [card, setCard] = useState(before);
  const [isKept, setKept] = useState(false);
  const { run, isBusy, problem } = useAction();
  const change = (part: Partial<typeof card>) => {
    setCard({ ...card, ...part });
    setKept(false);
  };
  const zones = Intl.supportedValuesOf('timeZone');
  const keep = () =>
    run(
      () =>
        saveStudio({
          before: { ...before, currency: before.currency as Currency },
          card: { ...card, currency: card.currency as Currency },
        }),
      () => {
        setKept(true);
        router.refresh();
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
      <TextField
        className={styles.wide}
        label="Name"
        value={card.name}
        onChange={(event) => change({ name: event.target.value })}
        slotProps={{ htmlInput: { maxLength: 60 } }}
      />
      <SelectField
        label="Time zone"
        value={card.timeZone}
        options={[...new Set([card.timeZone, 'UTC', ...zones])].map((zone) => ({
          value: zone,
          label: zone.replaceAll('_', ' '),
        }))}
        onChange={(timeZone) => change({ timeZone })}
      />
      <SelectField
        label="Prices in"
        value={card.currency}
        options={CURRENCIES.map((currency) => ({ value: currency, label: currency }))}
        onChange={(currency) => change({ currency })}
      />
      <SelectField
        label="How tightly you work"
        value={card.hand}
        options={HAND_IDS.map((id) => ({ value: id, label: hands[id].label }))}
        onChange={(value) => change({ hand: value as HandId })}
      />
      <NumberField
        label="Weeks from trim to trim"
        value={card.trimWeeks}
        {...TRIM_WEEKS}
        whole
        onCommit={(trimWeeks) => change({ trimWeeks })}
      />
      {DISPLAY_KEYS.map((key) => {
        const { label, choices } = DISPLAY[key];
        return (
          <SelectField
            key={key}
            label={label}
            value={String(card.display[key])}
            options={choices.map((choice) => ({ value: String(choice.value), label: choice.label }))}
            onChange={(value) => {
              const chosen = choices.find((choice) => String(choice.value) === value);
              if (chosen) change({ display: { ...card.display, [key]: chosen.value } });
            }}
          />
        );
      })}
      {problem}
      <div className={styles.keep}>
        <Button type="submit" variant="contained" disabled={isBusy}>
          Keep
        </Button>
        <span role="status">{isKept ? 'Kept' : ''}</span>
      </div>
      {card.timeZone !== before.timeZone && (
        <Alert severity="info" className={styles.wide}>
          Plans not begun yet stay at their hour: nine o’clock is nine o’clock in the new zone. What has
          happened keeps its moment.
        </Alert>
      )}
    </form>
  );
}
