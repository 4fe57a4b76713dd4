'use client';
import type { EndsMethodId, RootMethodId } from '@/core/coefficients/root-and-ends';
import type { Card } from '@/core/drawings/card';
import { endsCards, finishCards, rootCards } from '@/core/drawings/method-cards';
import { techniqueCards } from '@/core/drawings/technique-cards';
import type { TechniqueId } from '@/core/techniques';
import { CardView } from '@/ui/drawings/card-view';

/** What a card is asked for by. */
export type AskedCard =
  | { readonly technique: TechniqueId }
  | { readonly root: RootMethodId }
  | { readonly ends: EndsMethodId }
  | { readonly finish: keyof typeof finishCards };

function cardOf(asked: AskedCard): Card {
  if ('technique' in asked) return techniqueCards[asked.technique];
  if ('root' in asked) return rootCards[asked.root];
  if ('ends' in asked) return endsCards[asked.ends];
  return finishCards[asked.finish];
}

/** Cards one below the other. */
export function HowDoneCards({ of, skin }: { readonly of: readonly AskedCard[]; readonly skin: string }) {
  return of.map((asked) => <CardView key={JSON.stringify(asked)} card={cardOf(asked)} skin={skin} />);
}
