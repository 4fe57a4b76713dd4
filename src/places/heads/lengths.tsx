'use client';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Clock } from '@/core/formats/display';
import { outgrownAtMs } from '@/core/care/rods';
import { ZONE_LABEL, ZONES, type Zone } from '@/core/hair/zone';
import { listed, sentence } from '@/core/words/words';
import { formatDiameter, formatLocalDay } from '@/ui/format';
import { Pill, PillSet } from '@/ui/fields/pill';
import { useUnits } from '@/ui/units-context';
import type { Units } from '@/core/formats/display';
import type { loadHead } from './queries';
import styles from './head-page.module.css';

const LengthChart = dynamic(() => import('@/ui/charts/length-chart').then((module) => module.LengthChart), {
  ssr: false,
  loading: () => <p>Drawing the lengths…</p>,
});

type Loaded = NonNullable<Awaited<ReturnType<typeof loadHead>>>;
type ZoneGrowth = Loaded['growth']['zones'][number];

const A_MONTH_DAYS = 30.4;
/** Kept so nearly that nobody sees the difference. */
const NEARLY_ALL = 0.85;

/** How a zone grew, in a sentence. */
function growthWords({ zone, growth, oddDates }: ZoneGrowth, units: Units, clock: Clock): string {
  if (!growth) return '';
  const monthly = (mmPerDay: number) => formatDiameter(mmPerDay * A_MONTH_DAYS, units);
  const at = `at the ${ZONE_LABEL[zone]}`;
  const odd =
    oddDates.length > 0
      ? ` ${listed(oddDates.map((date) => formatLocalDay(date, clock)))} lies off the line: measured the same way?`
      : '';
  const { slope, verdict, kept } = growth;
  if (verdict === 'early' || slope.interval === null)
    return `About ${monthly(slope.perDay)} a month ${at}; too early for a range.${odd}`;
  const range = `${monthly(slope.perDay)} a month ${at}, ${monthly(slope.interval[0])} to ${monthly(slope.interval[1])}`;
  const told = {
    kept: kept >= NEARLY_ALL ? 'nearly all of it was kept' : 'most of it was kept',
    breaks: 'less is kept than grows: ends may be breaking',
    differs: 'more than hair is known to grow: measuring or growth differs',
  }[verdict];
  return `${sentence(`${range}; ${told}`)}${odd}`;
}

/** Lengths over time, zone by zone, with what came off; and when the rods will be too small. */
export function Lengths({ growth, rods, clock }: Pick<Loaded, 'growth' | 'rods' | 'clock'>) {
  const { units } = useUnits();
  const [zones, setZones] = useState<readonly Zone[]>(['crown', 'nape']);
  const shown = growth.zones.filter(({ zone }) => zones.includes(zone));
  const times = Math.max(0, ...growth.zones.map(({ points }) => points.length));
  const outgrownMs = rods && outgrownAtMs(rods.setAtMs, rods.months);
  return (
    <>
      {times > 1 ? (
        <>
          {shown.map((one) => (
            <p key={one.zone} className={styles.line}>
              {growthWords(one, units, clock)}
            </p>
          ))}
          <LengthChart zones={shown} cuts={growth.cuts} units={units} clock={clock} />
          <PillSet legend="Zones">
            {ZONES.filter((zone) => growth.zones.some((own) => own.zone === zone)).map((zone) => (
              <Pill
                key={zone}
                label={ZONE_LABEL[zone]}
                isPressed={zones.includes(zone)}
                onPress={() =>
                  setZones(zones.includes(zone) ? zones.filter((own) => own !== zone) : [...zones, zone])
                }
              />
            ))}
          </PillSet>
        </>
      ) : (
        <p className={styles.line}>Measured once. A second time, a month on, begins the line.</p>
      )}
      {outgrownMs !== null && rods && (
        <p className={styles.line}>
          The {rods.mm} mm rods are outgrown about{' '}
          <b>
            {new Intl.DateTimeFormat('en-GB', {
              month: 'long',
              year: 'numeric',
              timeZone: clock.timeZone,
            }).format(outgrownMs)}
          </b>
          : then it lies in two layers. A size larger instead.
        </p>
      )}
    </>
  );
}
