'use client';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { AFTERWARDS_IDS, afterwards } from '@/core/coefficients/afterwards';
import { NIGHT_CARE_IDS, nightCares, type NightCareId } from '@/core/coefficients/night-care';
import { TAKEDOWN_HANDS_IDS, takedownHands, type TakedownHandsId } from '@/core/coefficients/takedown-hands';
import { SET_RANGES } from '@/core/formats/ranges';
import { NumberField } from '@/ui/fields/number-field';
import { SelectField } from '@/ui/fields/select-field';
import { NightsAhead } from './nights-ahead';
import { optionsOf } from './options-of';
import { HowDone } from './how-done';
import type { PlanStep } from './plan-step';
import styles from './drying-steps.module.css';

/** Letters of a note that stand beside its title. */
const MOST_OF_NOTE = 40;

/** How it is taken down, what goes on then, and what is done with it at night. */
export const nightsStep: PlanStep = ({ brief, technique, plan, units, changeBrief, skin }) => {
  const wear = brief.wear ?? {};
  const night = wear.night ?? 'gather-and-bonnet';
  const pieces = wear.separations ?? 2;
  const change = (part: Partial<typeof wear>) => changeBrief({ wear: { ...wear, ...part } });
  return {
    id: 'nights',
    title: 'Takedown and nights',
    answer: nightCares[night].label,
    note: `${takedownHands[wear.hands ?? 'oiled'].label.toLowerCase()}, each ${technique.noun[0]} ${pieces === 1 ? 'left whole' : `split into ${pieces}`}`,
    body: (
      <>
        <SelectField
          label="Nights"
          value={night}
          options={optionsOf(NIGHT_CARE_IDS, nightCares)}
          onChange={(value) => change({ night: value as NightCareId })}
        />
        {plan && <NightsAhead byDay={plan.result.byDay} units={units} />}
        <SelectField
          label="Hands at takedown"
          value={wear.hands ?? 'oiled'}
          options={optionsOf(TAKEDOWN_HANDS_IDS, takedownHands)}
          onChange={(value) => change({ hands: value as TakedownHandsId })}
        />
        <HowDone
          of={[{ finish: 'takedown' }, { finish: 'separating' }, { finish: 'fluffing' }, { finish: 'night' }]}
          skin={skin}
        />
        <fieldset className={styles.checks}>
          <legend>On afterwards</legend>
          {AFTERWARDS_IDS.map((id) => (
            <FormControlLabel
              key={id}
              control={
                <Switch
                  size="small"
                  checked={wear.after?.includes(id) ?? false}
                  onChange={(_, isOn) =>
                    change({
                      after: AFTERWARDS_IDS.filter((one) => (one === id ? isOn : wear.after?.includes(one))),
                    })
                  }
                />
              }
              label={afterwards[id].label}
            />
          ))}
        </fieldset>
        <NumberField
          label={`Pieces from each ${technique.noun[0]}`}
          value={pieces}
          {...SET_RANGES.separations}
          whole
          onCommit={(separations) => change({ separations })}
        />
        <SelectField
          label="Fluffing"
          value={String(wear.fluffing ?? 1)}
          options={['None', 'A little, at the roots', 'A good deal', 'All the way'].map((label, i) => ({
            value: String(i),
            label,
          }))}
          onChange={(value) => change({ fluffing: Number(value) })}
        />
      </>
    ),
  };
};

/** What hands and eyes should remember. */
export const noteStep: PlanStep = ({ brief, changeBrief }) => ({
  id: 'note',
  title: 'Note',
  answer: brief.note ? brief.note.slice(0, MOST_OF_NOTE) : 'none',
  body: (
    <TextField
      label="To remember, on sheet and chair"
      value={brief.note ?? ''}
      multiline
      minRows={2}
      fullWidth
      slotProps={{ htmlInput: { maxLength: 500 } }}
      onChange={(event) => changeBrief({ note: event.target.value === '' ? undefined : event.target.value })}
    />
  ),
});
