'use client';
import { handMarks } from './hands';
import type { ChairViewProps } from './chair-set';
import styles from './chair.module.css';

/** Who has done how many, each under the mark that the map shows; nothing while one pair of hands is at the head. */
export function HandsLine({ log: { state, ownHand } }: Pick<ChairViewProps, 'log'>) {
  const marks = handMarks(state, ownHand);
  if (marks.size === 0) return null;
  return (
    <ul className={styles.hands} aria-label="Hands at this head">
      {state.hands.map(({ hand, doneCount }) => {
        const { place, mark, words } = marks.get(hand)!;
        return (
          <li key={hand} data-hand={place}>
            <span aria-hidden="true">{mark}</span> {words} <b>{doneCount}</b>
          </li>
        );
      })}
    </ul>
  );
}
