'use client';
import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import { POROSITY, type Porosity } from '@/core/coefficients/hair';
import { startStates } from '@/core/coefficients/start-states';
import {
  GUIDE_COILS,
  GUIDE_HAIRS,
  GUIDE_LENGTHS,
  GUIDE_TECHNIQUES,
  type GuideCell,
  type GuideLength,
  type GuideRow,
} from '@/core/suggest/set-guide';
import { techniqueOf } from '@/core/techniques';
import { capitalised } from '@/core/words/words';
import { SelectField } from '@/ui/fields/select-field';
import {
  formatChance,
  formatDays,
  formatIndex,
  formatLength,
  formatMinutes,
  formatPercent,
} from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { startGuide, type RunningWork } from '@/workers/client';
import { nextMorning } from '../usual-plan';
import { wishFor, type WishMeans } from '../first/wish-for';
import styles from './set-guide.module.css';

/** What one technique is done with on one head of hair. */
function Cell({ cell }: { cell: GuideCell | null }) {
  const { units } = useUnits();
  if (!cell) return <td className={styles.none}>not on this length</td>;
  const figures = `${formatDays(cell.days)}, definition ${formatIndex(cell.definition)}, shows ${formatPercent(cell.stretch)}`;
  return (
    <td>
      <b>
        {cell.sections}
        {cell.toolMm ? ` of ${cell.toolMm} mm` : ''}, {formatLength(cell.sideCm, units)} a side
      </b>
      <span>
        {capitalised(cell.byEye)} · {startStates[cell.startState].label.toLowerCase()}
      </span>
      <span>{capitalised(cell.layers)}</span>
      <span>
        {capitalised(cell.route)}
        {cell.chance !== null && `: ${formatChance(cell.chance)} sure`}
      </span>
      <span>
        {figures}, {formatMinutes(cell.workMin)} of work
      </span>
    </td>
  );
}

/** A table of textures from a studio's own shelf: for teaching, and for the wall. */
export function SetGuide({
  products,
  tools,
  dryers,
  studioName,
  hand,
  timeZone,
  nowMs,
}: Pick<WishMeans, 'products' | 'tools' | 'dryers' | 'hand' | 'timeZone'> & {
  readonly studioName: string;
  readonly nowMs: number;
}) {
  const [porosity, setPorosity] = useState<Porosity>('medium');
  const [rows, setRows] = useState<readonly GuideRow[]>([]);
  const [isRunning, setRunning] = useState(false);
  const running = useRef<RunningWork | null>(null);
  const asked = useRef(0);
  useEffect(() => () => running.current?.stop(), []);

  const start = () => {
    running.current?.stop();
    setRows([]);
    setRunning(true);
    const wish = wishFor(
      { ready: nextMorning(nowMs, timeZone), wants: [], technique: null, begin: null, workH: null },
      {
        head: { stretchedLengthCm: 22 },
        allergies: '',
        schools: {},
        past: [],
        known: { learnt: null, corrections: null },
        products,
        tools,
        dryers,
        hand,
        timeZone,
      },
      nowMs,
    );
    const mine = ++asked.current;
    const work = startGuide(wish, porosity, (row) => {
      // A row of a guide that was stopped may still be on its way.
      if (mine === asked.current) setRows((was) => [...was, row]);
    });
    running.current = work;
    void work.done.then(() => mine === asked.current && setRunning(false));
  };
  const stop = () => {
    asked.current++;
    running.current?.stop();
    setRunning(false);
  };
  const isWhole = rows.length === GUIDE_HAIRS.length;
  return (
    <div className={styles.page}>
      <header className={styles.head}>
        <div>
          <h1>Set guide</h1>
          <p>
            What suits which hair, worked out for {studioName} from its own shelf: set in the evening, worn in
            the morning, {POROSITY[porosity].label} porosity, usual density. A stylist’s eye comes first.
          </p>
        </div>
        <div className={styles.ask}>
          <SelectField
            label="Porosity"
            value={porosity}
            options={(Object.keys(POROSITY) as Porosity[]).map((id) => ({
              value: id,
              label: POROSITY[id].label,
            }))}
            onChange={(id) => setPorosity(id as Porosity)}
          />
          {isRunning ? (
            <Button variant="outlined" onClick={stop}>
              Stop
            </Button>
          ) : (
            <Button variant="contained" onClick={start}>
              {rows.length > 0 ? 'Work it out anew' : 'Work it out'}
            </Button>
          )}
          <Button variant="outlined" disabled={!isWhole} onClick={() => window.print()}>
            Print
          </Button>
        </div>
      </header>
      <div role="status" className={styles.status}>
        {isRunning && (
          <>
            <progress max={GUIDE_HAIRS.length} value={rows.length} aria-label="Worked out" />
            <span>
              {rows.length} of {GUIDE_HAIRS.length} textures
            </span>
          </>
        )}
        {!isRunning && rows.length === 0 && (
          <p>Twenty-seven textures by eight techniques: a quarter of a minute, beside the page.</p>
        )}
      </div>
      {(Object.keys(GUIDE_LENGTHS) as GuideLength[]).map((length) => {
        const shown = rows.filter(({ hair }) => hair.length === length);
        if (shown.length === 0) return null;
        const { label, cm } = GUIDE_LENGTHS[length];
        return (
          <section key={length} className={styles.part}>
            <h2>
              {capitalised(label)} hair <small>about {cm} cm, pulled straight</small>
            </h2>
            <div
              className={styles.scroll}
              tabIndex={0}
              role="region"
              aria-label={`${capitalised(label)} hair`}
            >
              <table>
                <thead>
                  <tr>
                    <th scope="col">hair</th>
                    {GUIDE_TECHNIQUES.map((id) => (
                      <th key={id} scope="col">
                        {techniqueOf(id).label}
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {shown.map(({ hair, cells }) => (
                    <tr key={`${hair.strand}/${hair.coil}`}>
                      <th scope="row">
                        {hair.strand}
                        <small>{GUIDE_COILS[hair.coil].label}</small>
                      </th>
                      {cells.map((cell, i) => (
                        <Cell key={GUIDE_TECHNIQUES[i]} cell={cell} />
                      ))}
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          </section>
        );
      })}
    </div>
  );
}
