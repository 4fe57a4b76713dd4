'use client';
import { useState } from 'react';
import type { CheckFeel } from '@/core/drying/dryness-checks';
import type { Level } from '@/core/drying/nodes';
import { ChoiceList } from '@/ui/fields/choice-list';
import { sectionName } from '@/core/parting/section-name';
import { ChairDialog } from './chair-dialog';
import { SectionSelect } from './section-select';
import styles from './chair.module.css';

const LEVEL_CHOICES = [
  { value: 'root', label: 'Root' },
  { value: 'middle', label: 'Middle' },
  { value: 'ends', label: 'Ends' },
] as const satisfies readonly { value: Level; label: string }[];

const FEELS = [
  { value: 'dry', label: 'Dry', hint: 'springy, drawn up' },
  { value: 'cool', label: 'Cool', hint: 'cannot tell' },
  { value: 'damp', label: 'Damp', hint: 'still wet inside' },
] as const satisfies readonly { value: CheckFeel; label: string; hint: string }[];

/** Where a hand felt, and what it felt. */
export function CheckDialog({
  suggested,
  sectionNumber,
  onSection,
  numbers,
  onClose,
  onCheck,
}: {
  suggested: readonly number[];
  sectionNumber: number;
  onSection: (number: number) => void;
  /** Sections in working order. */
  numbers: readonly number[];
  onClose: () => void;
  onCheck: (check: { sectionNumber: number; level: Level; feel: CheckFeel }) => void;
}) {
  const [level, setLevel] = useState<Level>('root');
  return (
    <ChairDialog open title="What did you feel?" onClose={onClose} close="Leave" className={styles.check}>
      <div className={styles.suggested}>
        {suggested.map((number) => (
          <button
            key={number}
            type="button"
            aria-pressed={number === sectionNumber}
            onClick={() => onSection(number)}
          >
            {sectionName(number)}
          </button>
        ))}
        <SectionSelect numbers={numbers} value={sectionNumber} onPick={onSection} />
      </div>
      <ChoiceList
        inline
        legend="Where along the hair"
        value={level}
        choices={LEVEL_CHOICES}
        onChange={setLevel}
      />
      <div className={styles.feels}>
        {FEELS.map(({ value, label, hint }) => (
          <button key={value} type="button" onClick={() => onCheck({ sectionNumber, level, feel: value })}>
            {label}
            <small>{hint}</small>
          </button>
        ))}
      </div>
    </ChairDialog>
  );
}
