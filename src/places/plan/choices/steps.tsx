'use client';
import dynamic from 'next/dynamic';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { ROOM_RANGES, USUAL_ROOM } from '@/core/formats/ranges';
import {
  endsMethods,
  rootMethods,
  type EndsMethodId,
  type RootMethodId,
} from '@/core/coefficients/root-and-ends';
import { FASTENED_IDS, fastened, type FastenedId } from '@/core/coefficients/fastened';
import { HAND_IDS, hands, type HandId } from '@/core/coefficients/hands';
import { prepSteps } from '@/core/coefficients/prep-steps';
import { START_STATE_IDS, startStates } from '@/core/coefficients/start-states';
import { dryingMethods } from '@/core/drying-methods';
import { productRoles } from '@/core/products';
import { TECHNIQUE_IDS, techniqueOf } from '@/core/techniques';
import { ChoiceList } from '@/ui/fields/choice-list';
import { ClockField } from '@/ui/fields/clock-field';
import { DateTimeField } from '@/ui/fields/date-time-field';
import { SelectField } from '@/ui/fields/select-field';
import { AirFields } from '@/ui/fields/air-fields';
import { TemperatureField } from '@/ui/fields/temperature-field';
import { formatHours, formatMinutes, formatIndex, formatLocalTime, formatTemperature } from '@/ui/format';
import { layerName, toolKindOfSet, toolsFor } from '@/core/draft/shelf-choices';
import { withTechnique } from '@/core/draft/edits';
import { DryingSteps } from './drying-steps';
import { DryingWaysHere } from './drying-ways-here';
import { sizeWords } from './alternate-size';
import { optionsOf as options } from './options-of';
import { HowDone } from './how-done';
import { PrepSteps } from './prep-steps';
import type { PlanStep } from './plan-step';
import { USUAL_SLEEP } from '../usual-plan';
import styles from './drying-steps.module.css';
import { KNOT_PREPARED, KNOT_PREPARED_IDS, type KnotPrepared } from '@/core/techniques/knot-way';
import { toolKinds } from '@/core/techniques/tool-kind';
import { capitalised, plural } from '@/core/words/words';
import { partingStep, zonesStep } from './parting-steps';
import { nightsStep, noteStep } from './nights-step';
import { ToolChoice } from './tool-choice';

const Layers = dynamic(() => import('./layers').then((module) => module.Layers));

const look: PlanStep = ({ brief, set, technique, tools, skin, changeBrief }) => ({
  id: 'look',
  title: 'Look',
  answer: technique.label,
  note: technique.styleName.toLowerCase() === technique.label.toLowerCase() ? undefined : technique.styleName,
  body: (
    <>
      <ChoiceList
        legend="Technique"
        value={set.technique}
        choices={TECHNIQUE_IDS.map((id) => {
          const { label, summary } = techniqueOf(id);
          // Thirteen summaries at once are a wall: only the chosen one explains itself.
          return { value: id, label, hint: id === set.technique ? summary : null };
        })}
        onChange={(id) => changeBrief(withTechnique(brief, id, tools))}
      />
      <HowDone of={[{ technique: set.technique }]} skin={skin} />
    </>
  ),
});

const prep: PlanStep = ({ brief, products, allergies, changeBrief }) => {
  const steps = brief.prep ?? [];
  const minutes = (step: (typeof steps)[number]) => step.minutes ?? prepSteps[step.step].usualMin;
  const whole = steps.reduce((sum, step) => sum + minutes(step), 0);
  const hands = steps.reduce((sum, step) => sum + (prepSteps[step.step].handsOn ? minutes(step) : 0), 0);
  return {
    id: 'prep',
    title: 'Before the set',
    answer: steps.length > 0 ? formatMinutes(whole) : 'Wash and prep',
    note:
      steps.length > 0
        ? `${steps.map(({ step, product }) => [prepSteps[step].label.toLowerCase(), product].filter(Boolean).join(' with ')).join(', ')}; ${formatMinutes(hands)} of it with hands`
        : 'about 50 min',
    body: (
      <PrepSteps
        steps={steps}
        shelf={products}
        allergies={allergies}
        onChange={(next) => changeBrief({ prep: next.length > 0 ? next : undefined })}
      />
    ),
  };
};

const start: PlanStep = ({ set, changeSet }) => ({
  id: 'start',
  title: 'Start',
  answer: startStates[set.startState ?? 'damp'].label,
  body: (
    <ChoiceList
      legend="How wet the hair is when it is set"
      value={set.startState ?? 'damp'}
      choices={options(START_STATE_IDS, startStates)}
      onChange={(startState) => changeSet({ startState })}
    />
  ),
});

const layers: PlanStep = ({
  content,
  plan,
  products,
  allergies,
  handUnits,
  onWeighed,
  brief,
  set,
  onChange,
  changeSet,
}) => {
  const planned = set.layers ?? [];
  const named = planned
    .map((layer, i) => layerName(layer, content.layerProductIds[i] ?? null, products))
    .filter((name, i) => name !== productRoles[planned[i]!.role].label);
  return {
    id: 'layers',
    title: 'Layers, in order',
    answer:
      capitalised(planned.map((layer) => productRoles[layer.role].label.toLowerCase()).join(', ')) ||
      'Nothing on it',
    note: named.join(', '),
    body: (
      <>
        <Layers
          layers={planned}
          productIds={content.layerProductIds}
          shelf={products}
          allergies={allergies}
          doses={plan?.doses ?? []}
          isTrial={brief.parting?.trial ?? false}
          handUnits={handUnits}
          onWeighed={onWeighed}
          onChange={(next, layerProductIds) =>
            onChange({ ...content, brief: { ...brief, set: { ...set, layers: next } }, layerProductIds })
          }
        />
        {planned.slice(1).flatMap((layer, i) => {
          const before = planned[i]!.half;
          // Products of two halves never meet in a hand.
          if (layer.half && before && layer.half !== before) return [];
          return (
            <FormControlLabel
              // Layers have no identity but their place.
              key={`${i}/${layer.role}`}
              control={
                <Switch
                  size="small"
                  checked={layer.inHand ?? false}
                  onChange={(_, inHand) =>
                    changeSet({
                      layers: planned.map((one, at) =>
                        at === i + 1 ? { ...one, inHand: inHand || undefined } : one,
                      ),
                    })
                  }
                />
              }
              label={`${productRoles[layer.role].label} mixed in the hand with the ${productRoles[planned[i]!.role].label.toLowerCase()}`}
            />
          );
        })}
        <FormControlLabel
          control={<Switch checked={set.blotted ?? true} onChange={(_, blotted) => changeSet({ blotted })} />}
          label="Blot it with a towel"
        />
        <FormControlLabel
          control={
            <Switch
              checked={set.brushedThrough ?? false}
              onChange={(_, brushedThrough) => changeSet({ brushedThrough })}
            />
          }
          label="Brush it through"
        />
      </>
    ),
  };
};

const tool: PlanStep = ({ set, tools, plan, fullestBundle, units, changeSet }) => {
  const kind = toolKindOfSet(set);
  if (kind === null) return null;
  const { label, usual } = toolKinds[kind];
  const planned = set.tool ?? { ...usual, owned: 0 };
  const fit = plan?.tool;
  return {
    id: 'tool',
    title: label,
    answer: sizeWords(planned, units),
    note:
      fit &&
      `${formatIndex(fit.turns)} ${fit.turns <= 1 ? 'turn' : 'turns'} round it, ${fit.fits ? 'in one layer' : 'hair over hair'}`,
    body: (
      <ToolChoice
        kind={kind}
        tool={planned}
        shelf={toolsFor(tools, kind)}
        plan={plan}
        fullestBundle={fullestBundle}
        onChange={(next) => changeSet({ tool: next })}
      />
    ),
  };
};

const rootsAndEnds: PlanStep = ({ set, technique, skin, changeSet }) => {
  const root = set.rootMethod ?? technique.rootMethods[0];
  const ends = set.endsMethod ?? technique.endsMethods[0];
  const phrase = `${rootMethods[root].phrase}, ${endsMethods[ends].phrase}`;
  return {
    id: 'roots',
    title: 'Roots and ends',
    answer: capitalised(phrase),
    body: (
      <>
        <SelectField
          label="Root"
          value={root}
          options={options(technique.rootMethods, rootMethods)}
          onChange={(value) => changeSet({ rootMethod: value as RootMethodId })}
        />
        <SelectField
          label="Ends"
          value={ends}
          options={options(technique.endsMethods, endsMethods)}
          onChange={(value) => changeSet({ endsMethod: value as EndsMethodId })}
        />
        <HowDone of={[{ root }, { ends }]} skin={skin} />
        {set.technique === 'bantu-knot' && (
          <>
            <SelectField
              label="Into the knot"
              value={set.knot?.prepared ?? 'rolled'}
              options={options(KNOT_PREPARED_IDS, KNOT_PREPARED)}
              onChange={(value) => changeSet({ knot: { ...set.knot, prepared: value as KnotPrepared } })}
            />
            <SelectField
              label="Turns"
              value={String(set.knot?.turns ?? '')}
              options={[
                { value: '', label: 'as many as it takes' },
                ...[1, 2, 3, 4].map((turns) => ({ value: String(turns), label: plural(turns, 'turn') })),
              ]}
              onChange={(value) =>
                changeSet({ knot: { ...set.knot, turns: value === '' ? undefined : Number(value) } })
              }
            />
          </>
        )}
        {technique.bends && (
          <SelectField
            label="Closed"
            value={set.fastened ?? 'root'}
            options={options(FASTENED_IDS, fastened)}
            onChange={(value) => changeSet({ fastened: value as FastenedId })}
          />
        )}
        <SelectField
          label="Hand"
          value={set.hand ?? 'usual'}
          options={options(HAND_IDS, hands)}
          onChange={(hand) => changeSet({ hand: hand as HandId })}
        />
      </>
    ),
  };
};

const drying: PlanStep = ({ brief, dryers, askWays, changeBrief }) => {
  const steps = brief.drying ?? [];
  return {
    id: 'drying',
    title: 'Drying',
    answer:
      steps.length === 1
        ? dryingMethods[steps[0]!.method].label
        : steps.map((step) => `${dryingMethods[step.method].label} ${formatHours(step.hours)}`).join(', '),
    ...(steps.length === 1 && { note: `for ${formatHours(steps[0]!.hours)}` }),
    body: (
      <>
        <DryingSteps steps={steps} dryers={dryers} onChange={(next) => changeBrief({ drying: next })} />
        <DryingWaysHere brief={brief} ask={askWays} />
      </>
    ),
  };
};

const room: PlanStep = ({ brief, units, changeBrief }) => {
  const chosen = { ...USUAL_ROOM, ...brief.room };
  const change = (part: Partial<typeof chosen>) => changeBrief({ room: { ...chosen, ...part } });
  return {
    id: 'room',
    title: 'Room and weather',
    answer: `${formatTemperature(chosen.temperatureC, units)}, ${Math.round(chosen.relativeHumidity * 100)} % humid${chosen.closed ? ', shut' : ''}`,
    note: `dew point outdoors ${formatTemperature(chosen.dewPointOutsideC, units)}`,
    body: (
      <>
        <AirFields warmth="Room" humidity="Humidity indoors" air={chosen} onCommit={change} />
        <TemperatureField
          label="Dew point outdoors"
          valueC={chosen.dewPointOutsideC}
          lowC={ROOM_RANGES.dewPointOutsideC.low}
          highC={ROOM_RANGES.dewPointOutsideC.high}
          onCommit={(dewPointOutsideC) => change({ dewPointOutsideC })}
        />
        <FormControlLabel
          control={<Switch checked={chosen.closed ?? false} onChange={(_, closed) => change({ closed })} />}
          label="It dries in a small room that is shut, such as a bathroom"
        />
      </>
    ),
  };
};

const readyBy: PlanStep = ({ brief, clock, changeBrief }) => ({
  id: 'ready',
  title: 'Ready by',
  answer: brief.wearBy ? formatLocalTime(brief.wearBy, clock) : 'No time set',
  note: brief.wearBy
    ? brief.startAt && `begins ${formatLocalTime(brief.startAt, clock)}`
    : 'set one to see when to start',
  body: (
    <>
      <DateTimeField
        label="Ready by"
        value={brief.wearBy?.slice(0, 16) ?? ''}
        onCommit={(wearBy) => changeBrief({ wearBy: wearBy ?? undefined })}
      />
      <DateTimeField
        label="Begin at (empty: as late as is sure)"
        value={brief.startAt?.slice(0, 16) ?? ''}
        onCommit={(startAt) => changeBrief({ startAt: startAt ?? undefined })}
      />
      <FormControlLabel
        control={
          <Switch
            checked={brief.sleep !== undefined}
            onChange={(_, keeps) => changeBrief({ sleep: keeps ? USUAL_SLEEP : undefined })}
          />
        }
        label="Keep the night free of work"
      />
      {brief.sleep && (
        <div className={styles.pair}>
          <ClockField
            label="Asleep from"
            value={brief.sleep.from}
            onCommit={(from) => changeBrief({ sleep: { ...brief.sleep!, from } })}
          />
          <ClockField
            label="Until"
            value={brief.sleep.until}
            onCommit={(until) => changeBrief({ sleep: { ...brief.sleep!, until } })}
          />
        </div>
      )}
    </>
  ),
});

/** The steps of a plan in the order of the work. Add one by adding it here. */
export const PLAN_STEPS: readonly PlanStep[] = [
  look,
  prep,
  start,
  layers,
  partingStep,
  tool,
  rootsAndEnds,
  zonesStep,
  drying,
  nightsStep,
  room,
  readyBy,
  noteStep,
];
