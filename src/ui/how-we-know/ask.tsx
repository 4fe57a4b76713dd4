'use client';
import dynamic from 'next/dynamic';
import { useState, type ReactNode } from 'react';
import type { TopicId } from '@/core/explain/topics';
import type { Why } from '@/core/explain/why-of';
import styles from './ask.module.css';

/** The panel, which comes when it is asked for. */
export const loadHowWeKnow = () => import('./how-we-know').then((module) => module.HowWeKnow);
export const HowWeKnow = dynamic(loadHowWeKnow);

/** A name that opens how its number comes about. */
export const Ask = ({
  topic,
  name,
  onAsk,
}: {
  topic: TopicId;
  name: string;
  onAsk: (topic: TopicId) => void;
}) => (
  <button
    type="button"
    className={styles.ask}
    aria-label={`${name}: how we know`}
    onClick={() => onAsk(topic)}
  >
    {name}
  </button>
);

/** {@link Ask} with a panel of its own, for a number that stands by itself. */
export function AskHow({
  topic,
  name,
  now,
  why,
}: {
  topic: TopicId;
  name: string;
  now: ReactNode;
  why: Why | null;
}) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Ask topic={topic} name={name} onAsk={() => setOpen(true)} />
      {isOpen && <HowWeKnow topic={topic} now={now} why={why} onClose={() => setOpen(false)} />}
    </>
  );
}
