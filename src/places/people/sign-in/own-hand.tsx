'use client';
import { HAND_IDS, hands, type HandId } from '@/core/coefficients/hands';
import { SelectField } from '@/ui/fields/select-field';
import { useAction } from '@/ui/hooks/use-action';
import { useState } from 'react';
import { keepHand } from './actions';
import styles from './sign-in.module.css';

/** How tightly somebody works: hers, not the studio's. */
export function OwnHand({ hand }: { hand: HandId }) {
  const [chosen, setChosen] = useState(hand);
  const [isKept, setKept] = useState(false);
  const { run, problem } = useAction();
  return (
    <div className={styles.card}>
      <SelectField
        label="How tightly you work"
        value={chosen}
        options={HAND_IDS.map((id) => ({ value: id, label: hands[id].label }))}
        onChange={(value) => {
          setChosen(value as HandId);
          setKept(false);
          void run(
            () => keepHand({ hand: value as HandId }),
            () => setKept(true),
          );
        }}
      />
      <p className={styles.soft} role="status">
        {isKept
          ? 'Kept'
          : 'New plans of yours begin with it. Units, and what your pump or teaspoon weighs, are yours too once you change them.'}
      </p>
      {problem}
    </div>
  );
}
