'use client';
import { NIGHT_CARE_IDS, nightCares } from '@/core/coefficients/night-care';
import { WEATHER_RANGES, type DayDone, type DayEntry, type DayWeather } from '@/core/diary/day-entry';
import { DAY_DEED_IDS, dayDeeds, WORN_WAY_IDS, wornWays } from '@/core/diary/day-words';
import { airWord, type WeatherStation } from '@/core/diary/weather-station';
import { NumberField } from '@/ui/fields/number-field';
import { TemperatureField } from '@/ui/fields/temperature-field';
import { formatTemperature } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { Chip, Chips } from './chips';
import styles from './day-card.module.css';

/** At most so many pieces are done again. */
const MOST_REDONE = 600;
/** How many are asked for first. */
const USUAL_REDONE = 6;

/** What was done last night and today, the weather, and how it is worn. */
export function DayChips({
  entry,
  pale,
  day,
  date,
  station,
  onChange,
}: {
  readonly entry: DayEntry;
  /** As yesterday, not taken yet. */
  readonly pale: DayEntry | null;
  readonly day: number;
  readonly date: string;
  readonly station: WeatherStation;
  readonly onChange: (change: Partial<DayEntry>) => void;
}) {
  const { units } = useUnits();
  const { deeds, redone, worn } = entry.done;
  const done = (change: Partial<DayDone>) => onChange({ done: { ...entry.done, ...change } });
  const heard = station(date);
  const airWords = (weather: DayWeather) =>
    `${airWord(weather)}, ${formatTemperature(weather.temperatureC, units)}, dew ${formatTemperature(weather.dewPointC, units)}`;
  const setWeather = (change: Partial<DayWeather>) => {
    const next = { ...(entry.weather ?? heard ?? { temperatureC: 15, dewPointC: 10 }), ...change };
    onChange({ weather: { ...next, dewPointC: Math.min(next.dewPointC, next.temperatureC) } });
  };
  return (
    <>
      {day > 0 && (
        <Chips title="Last night">
          {NIGHT_CARE_IDS.map((id) => (
            <Chip
              key={id}
              isOn={entry.night === id}
              isPale={entry.night === null && pale?.night === id}
              onToggle={() => onChange({ night: entry.night === id ? null : id })}
            >
              {nightCares[id].label}
            </Chip>
          ))}
        </Chips>
      )}
      <Chips title="Done to it">
        {DAY_DEED_IDS.map((id) => (
          <Chip
            key={id}
            isOn={deeds.includes(id)}
            isPale={deeds.length === 0 && pale?.done.deeds.includes(id) === true}
            onToggle={() =>
              done({ deeds: deeds.includes(id) ? deeds.filter((one) => one !== id) : [...deeds, id] })
            }
          >
            {dayDeeds[id].label}
          </Chip>
        ))}
        {(['twists', 'knots'] as const).map((as) => (
          <Chip
            key={as}
            isOn={redone?.as === as}
            onToggle={() =>
              done({ redone: redone?.as === as ? null : { as, count: redone?.count ?? USUAL_REDONE } })
            }
          >
            {as === 'twists' ? 'Re-twisted' : 'Re-knotted'}
          </Chip>
        ))}
        {redone && (
          <NumberField
            label={redone.as === 'twists' ? 'How many re-twisted' : 'How many re-knotted'}
            short="How many"
            value={redone.count}
            low={1}
            high={MOST_REDONE}
            whole
            width={104}
            onCommit={(count) => done({ redone: { ...redone, count } })}
          />
        )}
      </Chips>
      <Chips title="Worn">
        {WORN_WAY_IDS.map((id) => (
          <Chip
            key={id}
            isOn={worn === id}
            isPale={worn === null && pale?.done.worn === id}
            onToggle={() => done({ worn: worn === id ? null : id })}
          >
            {wornWays[id].label}
          </Chip>
        ))}
      </Chips>
      <Chips title="Weather">
        {heard && (
          <Chip
            isOn={entry.weather !== null && airWords(entry.weather) === airWords(heard)}
            onToggle={() =>
              onChange({
                weather: entry.weather !== null && airWords(entry.weather) === airWords(heard) ? null : heard,
              })
            }
          >
            {airWords(heard)}
          </Chip>
        )}
        <details className={styles.byHand}>
          <summary>{heard ? 'Otherwise' : 'By hand'}</summary>
          <div>
            <TemperatureField
              label="Outdoors"
              valueC={entry.weather?.temperatureC ?? heard?.temperatureC ?? 15}
              lowC={WEATHER_RANGES.temperatureC.low}
              highC={WEATHER_RANGES.temperatureC.high}
              onCommit={(temperatureC) => setWeather({ temperatureC })}
            />
            <TemperatureField
              label="Dew point"
              valueC={entry.weather?.dewPointC ?? heard?.dewPointC ?? 10}
              lowC={WEATHER_RANGES.dewPointC.low}
              highC={WEATHER_RANGES.dewPointC.high}
              onCommit={(dewPointC) => setWeather({ dewPointC })}
            />
          </div>
        </details>
      </Chips>
    </>
  );
}
