'use client';
import Drawer from '@mui/material/Drawer';
import IconButton from '@mui/material/IconButton';
import { useId, type ReactNode } from 'react';
import { PARAMETER_TABLES, SOURCE_WORDS, type ParameterTable } from '@/core/explain/parameter-tables';
import { topicOf, type TopicId } from '@/core/explain/topics';
import type { Why } from '@/core/explain/why-of';
import { CloseIcon } from '../icons';
import { LateLook } from '../theme/late-look';
import { WhyList } from './why-list';
import styles from './how-we-know.module.css';

interface HowWeKnowProps {
  topic: TopicId | null;
  /** The number as it stands, with its range. */
  now: ReactNode;
  /** What pushed it, when it has such a list. */
  why: Why | null;
  onClose: () => void;
}

/** How one number comes about: opens beside the page from any figure that has a topic. */
export const HowWeKnow = (props: HowWeKnowProps) => (
  <LateLook>
    <Sheet {...props} />
  </LateLook>
);

function Sheet({ topic, now, why, onClose }: HowWeKnowProps) {
  const title = useId();
  const shown = topic && topicOf(topic);
  return (
    <Drawer
      anchor="right"
      open={shown !== null}
      onClose={onClose}
      slotProps={{ paper: { role: 'dialog', 'aria-labelledby': title, className: styles.sheet } }}
    >
      {shown && (
        <div className={styles.panel}>
          <header className={styles.head}>
            <div>
              <p className={styles.kicker}>How we know</p>
              <h2 id={title}>{shown.title}</h2>
            </div>
            <IconButton aria-label="Close" onClick={onClose}>
              <CloseIcon />
            </IconButton>
          </header>
          <p className={styles.now}>{now}</p>
          <WhyList title={why?.title ?? ''} why={why} />
          {shown.how.map((line) => (
            <p key={line}>{line}</p>
          ))}
          <h3>Checked against</h3>
          <List lines={shown.checkedAgainst} />
          <h3>Where it is weak</h3>
          <List lines={shown.weak} />
          <details className={styles.figures}>
            <summary>more: the figures behind it, and the law as it is written</summary>
            <p className={styles.law}>{shown.law}</p>
            {shown.parameters.map(({ table, keys }) => (
              <Parameters key={table} table={PARAMETER_TABLES[table]} keys={keys} />
            ))}
            <p className={styles.more}>
              The whole model, with every figure and its source, is in docs/model/{shown.page}.md of the
              program.
            </p>
          </details>
        </div>
      )}
    </Drawer>
  );
}

const List = ({ lines }: { lines: readonly string[] }) => (
  <ul className={styles.list}>
    {lines.map((line) => (
      <li key={line}>{line}</li>
    ))}
  </ul>
);

/** 0.027 as it is, 2 430 000 in short. */
const figure = (value: number) =>
  Math.abs(value) >= 1e5 || (value !== 0 && Math.abs(value) < 1e-3) ? value.toExponential(2) : String(value);

function Parameters({ table, keys }: { table: ParameterTable; keys: readonly string[] }) {
  return (
    <table className={styles.table}>
      <caption>{table.title}</caption>
      <thead>
        <tr>
          <th scope="col">What</th>
          <th scope="col">Value, plausible range</th>
          <th scope="col">From</th>
        </tr>
      </thead>
      <tbody>
        {keys.flatMap((key) => {
          const record = table.records[key];
          if (!record) return [];
          return [
            <tr key={key}>
              <th scope="row">{record.note}</th>
              <td>
                {figure(record.value)} {record.unit === '–' ? '' : record.unit}
                <small>
                  {figure(record.low)} to {figure(record.high)}
                </small>
              </td>
              <td>{SOURCE_WORDS[record.source]}</td>
            </tr>,
          ];
        })}
      </tbody>
    </table>
  );
}
