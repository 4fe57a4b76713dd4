'use client';
import { useState } from 'react';
import { ZONE_LABEL, ZONES } from '@/core/hair/zone';
import type { DrawnSection } from '@/core/parting/drawn-layout';
import type { DayMarks } from '@/core/diary/day-entry';
import { WEAR_MARK_IDS, wearMarks, type WearMarkId } from '@/core/diary/day-words';
import { capitalised, listed } from '@/core/words/words';
import { CrownMap } from '@/ui/crown-map/crown-map';
import { Chip, Chips } from './chips';
import styles from './where.module.css';

/** Sections that are marked, said by zone: "crown, left side". */
export function placesWords(numbers: readonly number[], drawn: readonly DrawnSection[]): string {
  const zones = ZONES.filter((zone) =>
    drawn.some((section) => section.zone === zone && numbers.includes(section.number)),
  );
  return listed(zones.map((zone) => ZONE_LABEL[zone]));
}

/** Where something is wrong: a mark is chosen, then sections are tapped, or a whole zone. */
export function Where({
  drawn,
  partPath,
  skin,
  hair,
  marks,
  onMarks,
}: {
  readonly drawn: readonly DrawnSection[];
  readonly partPath: string | null;
  readonly skin: string;
  readonly hair: string;
  readonly marks: DayMarks;
  readonly onMarks: (mark: WearMarkId, numbers: readonly number[]) => void;
}) {
  const [mark, setMark] = useState<WearMarkId>('frizz');
  const own = marks[mark] ?? [];
  const toggle = (numbers: readonly number[]) => {
    const isAll = numbers.every((number) => own.includes(number));
    onMarks(
      mark,
      isAll ? own.filter((number) => !numbers.includes(number)) : [...new Set([...own, ...numbers])],
    );
  };
  const marked = WEAR_MARK_IDS.filter((id) => (marks[id]?.length ?? 0) > 0);
  return (
    <section className={styles.where} aria-label="Where">
      <Chips title="Where">
        {WEAR_MARK_IDS.map((id) => (
          <Chip key={id} isOn={id === mark} onToggle={() => setMark(id)}>
            {wearMarks[id].label}
            {(marks[id]?.length ?? 0) > 0 && ` ${marks[id]!.length}`}
          </Chip>
        ))}
      </Chips>
      <div className={styles.map}>
        <CrownMap
          name={`Where there is ${wearMarks[mark].label.toLowerCase()}: tap sections`}
          sections={drawn}
          partPath={partPath}
          skin={skin}
          hair={hair}
          stateOf={(number) => {
            const here = WEAR_MARK_IDS.filter((id) => marks[id]?.includes(number));
            return here.length > 0 ? { kind: 'marked', marks: here } : { kind: 'plain' };
          }}
          onPick={(number) => toggle([number])}
        />
        <div className={styles.zones} role="group" aria-label={`${wearMarks[mark].label}, a whole zone`}>
          {ZONES.filter((zone) => drawn.some((section) => section.zone === zone)).map((zone) => {
            const numbers = drawn.filter((section) => section.zone === zone).map(({ number }) => number);
            return (
              <button
                key={zone}
                type="button"
                aria-pressed={numbers.every((number) => own.includes(number))}
                onClick={() => toggle(numbers)}
              >
                {ZONE_LABEL[zone]}
              </button>
            );
          })}
        </div>
      </div>
      {marked.map((id) => (
        <p key={id} className={styles.said}>
          <b>{wearMarks[id].label}:</b> {capitalised(placesWords(marks[id]!, drawn))}
        </p>
      ))}
    </section>
  );
}
