'use client';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { DayEntry } from '@/core/diary/day-entry';
import { ZONE_LABEL, ZONES, type PerZone, type Zone } from '@/core/hair/zone';
import { MEASURED_RANGES } from '@/core/run/measured';
import { capitalised } from '@/core/words/words';
import { LengthField } from '@/ui/fields/length-field';
import { formatLength, formatPercent } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import styles from './day-card.module.css';

/** Visible length where it was measured: the crown is offered, others on demand. */
export function Lengths({
  stretchedCm,
  saidCm,
  visibleCm,
  onChange,
}: {
  readonly stretchedCm: PerZone<number>;
  readonly saidCm: Partial<PerZone<number>>;
  readonly visibleCm: DayEntry['visibleCm'];
  readonly onChange: (visibleCm: DayEntry['visibleCm']) => void;
}) {
  const [more, setMore] = useState<readonly Zone[]>([]);
  const { units } = useUnits();
  /** How much of its length shows, against what was said of the day: known once it is measured. */
  const against = (zone: Zone) => {
    const visible = visibleCm[zone];
    if (visible === undefined) return null;
    const said = saidCm[zone];
    return `${capitalised(ZONE_LABEL[zone])}: ${formatPercent(Math.min(1, visible / stretchedCm[zone]))} of its length shows${said === undefined ? '' : `; we said ${formatLength(said, units)}`}.`;
  };
  const zones = ZONES.filter(
    (zone) => zone === 'crown' || visibleCm[zone] !== undefined || more.includes(zone),
  );
  const others = ZONES.filter((zone) => !zones.includes(zone));
  return (
    <div className={styles.lengths}>
      {zones.map((zone) => (
        <LengthField
          key={zone}
          label={`${capitalised(ZONE_LABEL[zone])} hangs to`}
          valueCm={visibleCm[zone] ?? null}
          lowCm={MEASURED_RANGES.visibleCm.low}
          highCm={MEASURED_RANGES.visibleCm.high}
          onChange={(cm) => {
            const { [zone]: _, ...rest } = visibleCm;
            onChange(cm === null ? rest : { ...rest, [zone]: cm });
          }}
        />
      ))}
      {others.length > 0 && (
        <TextField
          select
          label="Another zone"
          value=""
          slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
          onChange={(event) => setMore([...more, event.target.value as Zone])}
        >
          <option value="" />
          {others.map((zone) => (
            <option key={zone} value={zone}>
              {ZONE_LABEL[zone]}
            </option>
          ))}
        </TextField>
      )}
      {zones.map((zone) => {
        const words = against(zone);
        return words ? (
          <p key={zone} className={styles.against}>
            {words}
          </p>
        ) : null;
      })}
    </div>
  );
}
