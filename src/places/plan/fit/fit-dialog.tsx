'use client';
import Button from '@mui/material/Button';
import Drawer from '@mui/material/Drawer';
import IconButton from '@mui/material/IconButton';
import { useEffect, useRef, useState } from 'react';
import { DRYING_METHOD_IDS, dryingMethods, type DryingMethodId } from '@/core/drying-methods';
import type { FieldError } from '@/core/formats/field-error';
import { TECHNIQUE_IDS, techniqueOf } from '@/core/techniques';
import { NumberField } from '@/ui/fields/number-field';
import { SelectField } from '@/ui/fields/select-field';
import { CloseIcon } from '@/ui/icons';
import type { FitOptionShown, FitProgress } from '@/workers/fit.worker';
import { startFit, type RunningWork } from '@/workers/client';
import type { DraftBrief } from '@/core/draft/draft-brief';
import type { TechniqueId } from '@/core/techniques';
import type { Compared } from '../difference-words';
import { othersWords } from '@/core/brief/learnt';
import { sentence } from '@/core/words/words';
import { FlatThumb } from '@/ui/round/flat-thumb';
import type { RoundTones } from '@/ui/round/round-tones';
import { useFlatHeads } from '@/ui/round/use-flat-heads';
import { wishFor, type WishMeans } from '../first/wish-for';
import { FitOption } from './fit-option';
import { Relaxations } from './relaxations';
import styles from './fit.module.css';

/** Curl sizes as they are asked for, mm. */
const CURLS = {
  any: { label: 'any size', range: null },
  small: { label: 'small, under 8 mm', range: { low: 0, high: 8 } },
  medium: { label: 'medium, 8 to 14 mm', range: { low: 8, high: 14 } },
  large: { label: 'large, over 14 mm', range: { low: 14, high: 1000 } },
} as const;
type CurlId = keyof typeof CURLS;

const SURE = 0.8;
const ANY = 'any';

interface Form {
  readonly availableH: number;
  readonly workH: number;
  readonly days: number;
  readonly curl: CurlId;
  readonly technique: string;
  readonly drying: readonly DryingMethodId[];
}

const START: Form = {
  availableH: 14,
  workH: 2.5,
  days: 3,
  curl: 'any',
  technique: ANY,
  drying: ['air', 'bonnet', 'hood-hot', 'hood-warm'],
};

/** Asks for the time there is and what is wanted, searches, and offers a few ways that none other beats. */
export function FitDialog({
  brief,
  means,
  nowMs,
  now,
  tones,
  onTake,
  onClose,
}: {
  brief: DraftBrief;
  means: WishMeans;
  nowMs: number;
  now: Compared | null;
  tones: RoundTones;
  onTake: (option: FitOptionShown) => void;
  onClose: () => void;
}) {
  const [form, setForm] = useState<Form>(START);
  const known = othersWords(means.known.learnt);
  const [progress, setProgress] = useState<FitProgress | null>(null);
  const [isRunning, setRunning] = useState(false);
  const [errors, setErrors] = useState<readonly FieldError[]>([]);
  const running = useRef<RunningWork | null>(null);
  useEffect(() => () => running.current?.stop(), []);

  const change = (part: Partial<Form>) => setForm({ ...form, ...part });
  const stop = () => {
    running.current?.stop();
    setRunning(false);
  };
  const start = () => {
    running.current?.stop();
    setProgress(null);
    setErrors([]);
    setRunning(true);
    const wish = wishFor(
      {
        ready: null,
        wants: [],
        technique: form.technique === ANY ? null : (form.technique as TechniqueId),
        begin: null,
        workH: form.workH,
      },
      means,
      nowMs,
    );
    const search = startFit(
      {
        brief,
        wish: { ...wish, sureness: SURE, shelf: { ...wish.shelf, drying: [...form.drying] } },
        limits: { daysAtLeast: form.days, curlMm: CURLS[form.curl].range },
        availableH: form.availableH,
      },
      setProgress,
    );
    running.current = search;
    void search.done.then((wrong) => {
      setErrors(wrong);
      setRunning(false);
    });
  };

  // Once the search has stopped: both want all there is of the machine.
  const found = progress?.isDone ? progress : null;
  const pictureOf = useFlatHeads(
    [...(found?.options ?? []), ...(found?.relaxed ?? []).map(({ option }) => option)].map(
      (option) => option.brief,
    ),
  );
  const shown = (option: FitOptionShown) => (
    <FlatThumb picture={pictureOf(option.brief)} tones={tones} label={`${option.title}, on the first day`} />
  );

  return (
    <Drawer
      anchor="right"
      open
      onClose={onClose}
      slotProps={{ paper: { role: 'dialog', 'aria-labelledby': 'fit-title', className: styles.sheet } }}
    >
      <div className={styles.panel}>
        <header className={styles.head}>
          <h2 id="fit-title">Fit to my time</h2>
          <IconButton aria-label="Close" onClick={onClose}>
            <CloseIcon />
          </IconButton>
        </header>
        {known.length > 0 && <p className={styles.known}>Known of her: {known.join('; ')}.</p>}
        <div className={styles.form}>
          <NumberField
            label="From first touch to ready"
            unit="h"
            value={form.availableH}
            low={0.5}
            high={72}
            step={0.5}
            onCommit={(availableH) => change({ availableH })}
          />
          <NumberField
            label="Work at most"
            unit="h"
            value={form.workH}
            low={0.25}
            high={12}
            step={0.25}
            onCommit={(workH) => change({ workH })}
          />
          <NumberField
            label="Lasting at least"
            unit="days"
            value={form.days}
            low={0}
            high={30}
            onCommit={(days) => change({ days })}
          />
          <SelectField
            label="Curl"
            value={form.curl}
            options={(Object.keys(CURLS) as CurlId[]).map((id) => ({ value: id, label: CURLS[id].label }))}
            onChange={(curl) => change({ curl: curl as CurlId })}
          />
          <SelectField
            label="Technique"
            value={form.technique}
            options={[
              { value: ANY, label: 'any' },
              ...TECHNIQUE_IDS.map((id) => ({ value: id, label: techniqueOf(id).label })),
            ]}
            onChange={(technique) => change({ technique })}
          />
          <fieldset className={styles.means}>
            <legend>Can dry with</legend>
            {DRYING_METHOD_IDS.map((id) => (
              <label key={id}>
                <input
                  type="checkbox"
                  checked={form.drying.includes(id)}
                  onChange={(event) =>
                    change({
                      drying: DRYING_METHOD_IDS.filter((method) =>
                        method === id ? event.target.checked : form.drying.includes(method),
                      ),
                    })
                  }
                />
                {dryingMethods[id].label}
              </label>
            ))}
          </fieldset>
        </div>
        <div className={styles.run}>
          <Button variant="contained" onClick={start} disabled={isRunning || form.drying.length === 0}>
            Find what fits
          </Button>
          {isRunning && (
            <>
              <progress max={progress?.of ?? 1} value={progress?.looked ?? 0} aria-label="Looked at" />
              <span>
                {progress ? `${Math.round((100 * progress.looked) / progress.of)} % looked at` : 'starting'}
              </span>
              <Button size="small" onClick={stop}>
                Stop
              </Button>
            </>
          )}
        </div>
        {errors.map((error) => (
          <p key={`${error.path}/${error.message}`} className={styles.problem} role="alert">
            {sentence(error.message)}
          </p>
        ))}
        <div role="status" className={styles.summary}>
          {progress?.isDone &&
            (progress.options.length > 0
              ? 'Every technique, product, size and way to dry at hand was weighed. These are the best of what fits, each at something.'
              : 'Nothing fits: nothing at hand keeps to all of it.')}
        </div>
        {progress && (
          <ul className={styles.options}>
            {progress.options.map((option) => (
              <FitOption key={option.title} option={option} now={now} onTake={() => onTake(option)}>
                {shown(option)}
              </FitOption>
            ))}
          </ul>
        )}
        {progress?.isDone && progress.options.length === 0 && (
          <Relaxations relaxed={progress.relaxed} now={now} pictureOf={shown} onTake={onTake} />
        )}
      </div>
    </Drawer>
  );
}
