'use client';
import Link from '@/ui/shell/link';
import { DayCard, HalvesCard } from './day-card';
import { keptDays, openedDay } from './known-day';
import type { Tonight } from './queries';
import styles from './tonight-card.module.css';

const nothing = () => undefined;

/** Today's entry of one head, made where it stands: the scales, and the way to all the rest. */
export function TonightCard({
  headName,
  words,
  date,
  tonight: { setId, day, halves, days, measured, said, skin, hair },
}: {
  readonly headName: string;
  /** "24 twists". */
  readonly words: string;
  readonly date: string;
  readonly tonight: Tonight;
}) {
  const Card = halves.length > 1 ? HalvesCard : DayCard;
  return (
    <article className={styles.card}>
      <h3>
        <Link href={`/wear/${setId}`}>{headName}</Link>{' '}
        <small>
          {words}, day {day}
        </small>
      </h3>
      <Card
        setId={setId}
        date={date}
        day={day}
        {...openedDay(keptDays(days), day, halves, measured)}
        said={said}
        skin={skin}
        hair={hair}
        onKept={nothing}
      />
      <p className={styles.rest}>
        <Link href={`/wear/${setId}`}>Where, what was done, length, the end</Link>
      </p>
    </article>
  );
}
