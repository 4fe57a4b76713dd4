import type { EffectUnit, Why } from '@/core/explain/why-of';
import { formatHours, formatMinutes, formatSigned } from '../format';
import styles from './why-list.module.css';

const EFFECT_WORDS: Readonly<Record<EffectUnit, (effect: number) => string>> = {
  hours: (effect) => `${effect < 0 ? '−' : '+'}${formatHours(Math.abs(effect))}`,
  minutes: formatMinutes,
  points: (effect) => formatSigned(effect),
  share: (effect) => `${formatSigned((effect - 1) * 100, 0)} %`,
};

/** What pushed a number, each reason with its signed effect. */
export function WhyList({
  title,
  why,
  most = Infinity,
}: {
  title: string;
  why: Why | null;
  /** No more reasons than this; they come strongest first. */
  most?: number;
}) {
  if (!why) return null;
  return (
    <section className={styles.why}>
      <h2>{title}</h2>
      <ul>
        {why.reasons.slice(0, most).map((reason) => {
          const effect = EFFECT_WORDS[why.unit](reason.effect);
          return (
            <li key={reason.factor}>
              <b data-sign={effect.startsWith('−') === why.isWorseUp ? 'up' : 'down'}>{effect}</b>{' '}
              {reason.text}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
