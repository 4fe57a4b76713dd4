'use client';
import { useState } from 'react';
import { ZONE_LABEL } from '@/core/hair/zone';
import { MEASURED_RANGES, type Measured } from '@/core/run/measured';
import { firstScales } from '@/core/wear/rating-scales';
import { CrownMap } from '@/ui/crown-map/crown-map';
import { LengthField } from '@/ui/fields/length-field';
import { NumberField } from '@/ui/fields/number-field';
import { RatingField } from '@/ui/fields/rating-field';
import type { ChairViewProps } from './chair-set';
import { FaultDialog } from './fault-dialog';
import styles from './chair.module.css';

/** A curl of about this size stands in the field before one is measured, mm. */
const USUAL_CURL_MM = 15;

/** First measurements, in under a minute: what is not rated or measured is left out. */
export function MeasureForm({ set, drawn, log }: ChairViewProps) {
  const { state, record } = log;
  const [ratings, setRatings] = useState<Measured['ratings']>({});
  const [visibleCm, setVisible] = useState<Measured['visibleCm']>({});
  const [curlMm, setCurl] = useState<Measured['curlMm']>({});
  const [faultAt, setFaultAt] = useState<number | null>(null);
  const zones = [...new Set(['crown', set.finish.longestZone] as const)];
  return (
    <div className={styles.setting}>
      <section className={styles.map} aria-label="Crown map">
        <CrownMap
          name="Where something went wrong"
          sections={drawn}
          skin={set.skinTone}
          hair={set.hairTone}
          stateOf={(number) =>
            state.faults.some((fault) => fault.sectionNumber === number)
              ? { kind: 'in-hand' }
              : { kind: 'plain' }
          }
          onPick={setFaultAt}
        />
      </section>
      <section className={styles.panel} aria-label="First measurements">
        <p className={styles.count}>
          <span>How did it come out?</span>
        </p>
        <p className={styles.last}>
          What is left out stays blank. Tap a section where something went wrong
          {state.faults.length > 0 && ` (${state.faults.length} so far)`}.
        </p>
        <div className={styles.ratings}>
          {firstScales.map((scale) => (
            <RatingField
              key={scale.id}
              scale={scale}
              value={ratings[scale.id] ?? null}
              onChange={(value) => setRatings((before) => ({ ...before, [scale.id]: value }))}
            />
          ))}
        </div>
        <div className={styles.tapes}>
          {zones.map((zone) => (
            <LengthField
              key={zone}
              label={`Hangs to, ${ZONE_LABEL[zone]}`}
              valueCm={visibleCm[zone] ?? null}
              lowCm={MEASURED_RANGES.visibleCm.low}
              highCm={MEASURED_RANGES.visibleCm.high}
              onChange={(cm) =>
                setVisible(({ [zone]: _, ...rest }) => (cm === null ? rest : { ...rest, [zone]: cm }))
              }
            />
          ))}
          {zones.map((zone) =>
            curlMm[zone] === undefined ? (
              <button
                key={zone}
                type="button"
                onClick={() => setCurl((before) => ({ ...before, [zone]: USUAL_CURL_MM }))}
              >
                Measure a curl, {ZONE_LABEL[zone]}
              </button>
            ) : (
              <NumberField
                key={zone}
                label={`Curl across, ${ZONE_LABEL[zone]}`}
                unit="mm"
                value={curlMm[zone]}
                low={MEASURED_RANGES.curlMm.low}
                high={MEASURED_RANGES.curlMm.high}
                onCommit={(mm) => setCurl((before) => ({ ...before, [zone]: mm }))}
              />
            ),
          )}
        </div>
        <p className={styles.last}>A photo goes with the first day, in Wear.</p>
        <div className={styles.buttons}>
          <button
            type="button"
            className={styles.big}
            onClick={() => record('measured', { measured: { ratings, visibleCm, curlMm } })}
          >
            Keep
          </button>
        </div>
      </section>
      {faultAt !== null && (
        <FaultDialog key={faultAt} sectionNumber={faultAt} log={log} onClose={() => setFaultAt(null)} />
      )}
    </div>
  );
}
