import { RATING_IDS, ratingScales } from '@/core/wear/rating-scales';
import { formatDay, formatDays, formatIndex, formatMinutes, formatMoment } from '@/ui/format';
import { OpenHere } from './open-here';
import type { loadYours } from './queries';
import styles from './yours.module.css';

type Loaded = NonNullable<Awaited<ReturnType<typeof loadYours>>>;

/** Ratings of a day as she reads them: those that were given. */
const ratedWords = (ratings: Loaded['diary'][number]['ratings']): string =>
  RATING_IDS.flatMap((id) => {
    const value = ratings[id];
    const label = ratingScales.find((scale) => scale.id === id)!.label.toLowerCase();
    return value === undefined ? [] : [`${label} ${formatIndex(value)}`];
  }).join(', ');

/** One plan, for whoever wears it, and how it wears: to read, and nothing else. */
export function YoursPage({ id, loaded }: { id: string; loaded: Loaded | null }) {
  if (!loaded)
    return (
      <main className={styles.page}>
        <h1>Your set</h1>
        <OpenHere id={id} />
      </main>
    );
  const {
    studio,
    name,
    style,
    readyAtMs,
    takenDownAtMs,
    installMin,
    days,
    tonight,
    care,
    diary,
    untilMs,
    clock,
  } = loaded;
  return (
    <main className={styles.page}>
      <h1>{name}</h1>
      <p className={styles.lead}>
        {style}, at {studio}
      </p>
      <dl className={styles.facts}>
        {takenDownAtMs !== null ? (
          <div>
            <dt>Taken down</dt>
            <dd>{formatMoment(takenDownAtMs, clock)}</dd>
          </div>
        ) : (
          readyAtMs !== null && (
            <div>
              <dt>Ready to wear</dt>
              <dd>{formatMoment(readyAtMs, clock)}</dd>
            </div>
          )
        )}
        {installMin && (
          <div>
            <dt>In the chair</dt>
            <dd>
              {formatMinutes(installMin.p10)} to {formatMinutes(installMin.p90)}
            </dd>
          </div>
        )}
        {days && (
          <div>
            <dt>Good for</dt>
            <dd>
              {Math.round(days.p10) === Math.round(days.p90)
                ? formatDays(days.p50)
                : `${Math.round(days.p10)} to ${formatDays(days.p90)}`}
            </dd>
          </div>
        )}
      </dl>
      {diary.length > 0 && (
        <>
          <h2>How it wears</h2>
          <table className={styles.days}>
            <tbody>
              {diary.map(({ day, half, ratings, note }) => (
                <tr key={`${day}/${half}`}>
                  <th scope="row">
                    Day {day}
                    {half === 'whole' ? '' : `, ${half}`}
                  </th>
                  <td>{[ratedWords(ratings), note].filter(Boolean).join('. ')}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      <h2>At night</h2>
      <p>{tonight}</p>
      <h2>By day</h2>
      <ul className={styles.care}>
        {care.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <p className={styles.foot}>
        Only you and {studio} read this page, on its network, until {formatDay(untilMs, clock)}.
      </p>
    </main>
  );
}
