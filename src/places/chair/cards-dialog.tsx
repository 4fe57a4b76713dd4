'use client';
import { useState } from 'react';
import type { Card } from '@/core/drawings/card';
import { endsCards, finishCards, rootCards } from '@/core/drawings/method-cards';
import { techniqueCards } from '@/core/drawings/technique-cards';
import { CardView } from '@/ui/drawings/card-view';
import { ChairDialog } from './chair-dialog';
import type { ChairSet, ChairViewProps } from './chair-set';
import { useChairSettings } from './chair-settings';
import styles from './chair.module.css';

/** The cards of what is done now, the nearest first. */
function cardsNow({ howOf, technique }: ChairSet, phase: ChairViewProps['log']['state']['phase']): Card[] {
  const { drying, checking, takedown, separating, fluffing, night } = finishCards;
  if (phase === 'drying') return [checking, drying, takedown];
  if (phase === 'worn') return [takedown, separating, fluffing, night];
  const ways = [...new Map(Object.values(howOf).map((how) => [JSON.stringify(how), how])).values()];
  const main = ways.sort((a, b) => Number(b.technique === technique) - Number(a.technique === technique));
  return [
    ...new Set([
      ...main.map((how) => techniqueCards[how.technique]),
      ...main.map((how) => rootCards[how.rootMethod]),
      ...main.map((how) => endsCards[how.endsMethod]),
    ]),
  ];
}

/** How what is in hand is done, step by step. */
export function CardsDialog({
  set,
  log,
  onClose,
}: Pick<ChairViewProps, 'set' | 'log'> & { readonly onClose: () => void }) {
  const { isLeftHanded } = useChairSettings();
  const cards = cardsNow(set, log.state.phase);
  const [chosen, setChosen] = useState(0);
  const card = cards[chosen] ?? cards[0]!;
  return (
    <ChairDialog open title="How it is done" onClose={onClose} maxWidth="md">
      <p className={styles.byTimes}>
        {cards.map(({ title }, i) => (
          <button key={title} type="button" aria-pressed={card.title === title} onClick={() => setChosen(i)}>
            {title}
          </button>
        ))}
      </p>
      <CardView card={card} skin={set.skinTone} isLeftHanded={isLeftHanded} />
    </ChairDialog>
  );
}
