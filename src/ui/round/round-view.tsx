'use client';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Slider from '@mui/material/Slider';
import Switch from '@mui/material/Switch';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useCallback, useRef, useState, type ReactNode } from 'react';
import type { RoundReach, RoundState } from '@/core/round/state';
import type { RoundHandle } from './round-canvas';
import { handOver, keptPicture } from './keep-picture';
import { RoundStage, type ShownHead } from './round-stage';
import styles from './round-view.module.css';
import type { RoundPose, RoundSide } from './scene';

const STEP_RAD = Math.PI / 8;
const NEARER = 0.8;
/** From where a head is looked at, and the same for a flat picture; from above nothing is drawn flat. */
const SIDES: readonly (readonly [RoundSide, string, flatRad: number | null])[] = [
  ['front', 'Front', -0.42],
  ['left', 'Her left', Math.PI / 2],
  ['right', 'Her right', -Math.PI / 2],
  ['behind', 'Behind', Math.PI],
  ['above', 'Above', null],
];
const REACHES: readonly (readonly [RoundReach, string])[] = [
  ['narrow', 'Narrow'],
  ['likely', 'Likely'],
  ['wide', 'Wide'],
];
/** The day that is gone to first when later ones are asked for. */
const LATER = 3;

type Tab = 'own' | 'set' | 'first' | 'later';
const tabOf = (state: RoundState): Tab =>
  state.kind === 'worn' ? (state.day === 0 ? 'first' : 'later') : state.kind;

/** Whether heads can be turned here at all, and nobody asked for less to move. */
function mayTurn(): boolean {
  try {
    return (
      document.createElement('canvas').getContext('webgl2') !== null &&
      !matchMedia('(prefers-reduced-motion: reduce)').matches
    );
  } catch {
    return false;
  }
}

/** Heads in the round: her own hair, in the set, on the first day and after; turned together, told in words. */
export function RoundView({
  heads,
  children,
}: {
  readonly heads: readonly ShownHead[];
  /** More that can be done with what is shown. */
  readonly children?: ReactNode;
}) {
  const [state, setState] = useState<RoundState>({ kind: 'worn', day: 0, reach: 'likely' });
  const [isFlat, setFlat] = useState(() => !mayTurn());
  const [flatFrom, setFlatFrom] = useState<number>(SIDES[0]![2]!);
  const [days, setDays] = useState(1);
  const handles = useRef<(RoundHandle | null)[]>([]);
  const words = useRef<string[]>([]);
  /** Others turn along. */
  const first = (act: (handle: RoundHandle) => void) => {
    const [handle] = handles.current;
    if (handle) act(handle);
  };
  const heardDays = useCallback((own: number) => setDays((before) => Math.max(before, own)), []);
  const keep = async () => {
    const shown = handles.current.flatMap((handle, i) => {
      const canvas = handle?.canvas();
      return canvas ? [{ canvas, words: words.current[i] ?? '' }] : [];
    });
    const picture = shown.length > 0 ? await keptPicture(shown) : null;
    if (picture)
      handOver(picture, `in-the-round-${state.kind === 'worn' ? `day-${state.day}` : state.kind}.png`);
  };
  const tab = tabOf(state);
  const reach = state.kind === 'worn' ? state.reach : 'likely';
  const open: Readonly<Record<Tab, () => RoundState>> = {
    own: () => ({ kind: 'own', isWet: false }),
    set: () => ({ kind: 'set' }),
    first: () => ({ kind: 'worn', day: 0, reach }),
    later: () => ({ kind: 'worn', day: Math.min(LATER, days - 1), reach }),
  };
  return (
    <div className={styles.view}>
      <div className={styles.bar}>
        <ToggleButtonGroup
          size="small"
          exclusive
          value={tab}
          aria-label="State"
          onChange={(_, next: Tab | null) => next && setState(open[next]())}
        >
          <ToggleButton value="own">Her own</ToggleButton>
          <ToggleButton value="set">In the set</ToggleButton>
          <ToggleButton value="first">First day</ToggleButton>
          <ToggleButton value="later" disabled={days < 2}>
            Later
          </ToggleButton>
        </ToggleButtonGroup>
        {state.kind === 'own' && (
          <FormControlLabel
            control={
              <Switch
                size="small"
                checked={state.isWet}
                onChange={(_, isWet) => setState({ kind: 'own', isWet })}
              />
            }
            label="Wet"
          />
        )}
        {state.kind === 'worn' && (
          <ToggleButtonGroup
            size="small"
            exclusive
            value={reach}
            aria-label="Which end of what is expected"
            onChange={(_, next: RoundReach | null) => next && setState({ ...state, reach: next })}
          >
            {REACHES.map(([id, name]) => (
              <ToggleButton key={id} value={id}>
                {name}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        )}
        {state.kind === 'worn' && tab === 'later' && (
          <div className={styles.days}>
            <span>Day {state.day}</span>
            <Slider
              size="small"
              min={1}
              max={days - 1}
              value={state.day}
              step={1}
              marks
              aria-label="Day of wear"
              getAriaValueText={(day) => `day ${day}`}
              onChange={(_, day) => setState({ ...state, day })}
            />
          </div>
        )}
      </div>
      <div className={styles.heads}>
        {heads.map((head, i) => (
          <RoundStage
            key={i}
            ref={(handle) => {
              handles.current[i] = handle;
            }}
            head={head}
            ask={{ state, flatFrom: isFlat ? flatFrom : null }}
            onDays={heardDays}
            onWords={(own) => {
              words.current[i] = own;
            }}
            onTurned={(pose: RoundPose) =>
              handles.current.forEach((other, k) => k !== i && other?.take(pose))
            }
            onLost={() => setFlat(true)}
          />
        ))}
      </div>
      <div className={styles.tools}>
        {!isFlat && (
          <>
            <Button variant="outlined" size="small" onClick={() => first((one) => one.turn(-STEP_RAD, 0))}>
              Turn left
            </Button>
            <Button variant="outlined" size="small" onClick={() => first((one) => one.turn(STEP_RAD, 0))}>
              Turn right
            </Button>
            <Button variant="outlined" size="small" onClick={() => first((one) => one.nearer(NEARER))}>
              Nearer
            </Button>
            <Button variant="outlined" size="small" onClick={() => first((one) => one.nearer(1 / NEARER))}>
              Farther
            </Button>
          </>
        )}
        {SIDES.map(([side, name, flatRad]) =>
          isFlat && flatRad === null ? null : (
            <Button
              key={side}
              size="small"
              onClick={() => (isFlat ? setFlatFrom(flatRad!) : first((one) => one.look(side)))}
            >
              {name}
            </Button>
          ),
        )}
        <FormControlLabel
          control={<Switch size="small" checked={isFlat} onChange={(_, isOn) => setFlat(isOn)} />}
          label="Flat, beside a ruler"
        />
        <span className={styles.more}>
          {!isFlat && (
            <Button variant="outlined" size="small" onClick={() => void keep()}>
              Keep picture
            </Button>
          )}
          {children}
        </span>
      </div>
    </div>
  );
}
