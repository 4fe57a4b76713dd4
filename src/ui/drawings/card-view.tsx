import type { Card } from '@/core/drawings/card';
import { forLeftHand } from '@/core/drawings/left-hand';
import { StepDrawing } from './step-drawing';
import styles from './card-view.module.css';

/** A card: its steps with their drawings, where practice differs, and what goes wrong. */
export function CardView({
  card: { title, steps, schools, wrong },
  skin,
  isLeftHanded = false,
}: {
  readonly card: Card;
  readonly skin: string;
  readonly isLeftHanded?: boolean;
}) {
  const words = (text: string) => (isLeftHanded ? forLeftHand(text) : text);
  return (
    <article className={styles.card}>
      <h3>{title}</h3>
      <ol className={styles.steps}>
        {steps.map((step, i) => (
          <li key={step.words}>
            <StepDrawing drawing={step.draw()} skin={skin} isMirrored={isLeftHanded} />
            <p>
              <b>{i + 1}</b> {words(step.words)}
            </p>
          </li>
        ))}
      </ol>
      {schools && <p className={styles.note}>{words(schools)}</p>}
      <p className={styles.note}>
        <b>What goes wrong:</b> {words(wrong)}
      </p>
    </article>
  );
}
