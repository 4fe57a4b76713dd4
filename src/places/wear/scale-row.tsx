'use client';
import dynamic from 'next/dynamic';
import { useId, type CSSProperties } from 'react';
import { ANCHOR_POINTS, anchorWords, type RatingId, type RatingScale } from '@/core/wear/rating-scales';
import type { Said } from '@/core/diary/said-of-day';
import { formatIndex } from '@/ui/format';
import styles from './scale-row.module.css';

/** Drawn once the page stands: thirty pictures are no part of what is sent. */
const RatingPicture = dynamic(
  () => import('@/ui/drawings/rating-picture').then((module) => module.RatingPicture),
  { ssr: false },
);

const at = (rating: number) => ({ '--at': rating / 10 }) as CSSProperties;

/** One rating of one half: a ruler with its drawn anchors that is touched, dragged, or set by keys. */
function Ruler({
  scale,
  name,
  value,
  pale,
  yesterday,
  said,
  onChange,
}: {
  readonly scale: RatingScale & { readonly id: RatingId };
  /** What it is called, with its half where there are two. */
  readonly name: string;
  readonly value: number | null;
  readonly pale: number | null;
  readonly yesterday: number | null;
  readonly said: Said | null;
  readonly onChange: (value: number) => void;
}) {
  const id = useId();
  const shown = value ?? pale;
  const words =
    value !== null
      ? `${value} of 10, ${anchorWords(scale, value)}`
      : pale !== null
        ? `${pale} of 10 as yesterday, not taken yet`
        : 'not rated yet';
  return (
    <span className={styles.ruler} data-rated={value !== null} data-pale={value === null && pale !== null}>
      <span className={styles.line} aria-hidden="true" />
      {said && value !== null && (
        <span
          className={styles.said}
          style={{ '--from': said.low / 10, '--to': said.high / 10 } as CSSProperties}
          aria-hidden="true"
        />
      )}
      {ANCHOR_POINTS.map((point) => (
        <span key={point} className={styles.bead} style={at(point)} aria-hidden="true">
          {point}
        </span>
      ))}
      {yesterday !== null && <span className={styles.yesterday} style={at(yesterday)} aria-hidden="true" />}
      {shown !== null && <span className={styles.here} style={at(shown)} aria-hidden="true" />}
      <input
        id={id}
        type="range"
        min={0}
        max={10}
        step={0.5}
        value={shown ?? 5}
        aria-label={name}
        aria-valuetext={words}
        onChange={(event) => onChange(Number(event.target.value))}
        // A touch on the value that stands there already says it too; a finger on the thumb itself makes no click.
        onClick={(event) => onChange(Number(event.currentTarget.value))}
        onPointerUp={(event) => onChange(Number(event.currentTarget.value))}
        onKeyDown={(event) => {
          if (!/^\d$/.test(event.key) || event.ctrlKey || event.metaKey || event.altKey) return;
          event.preventDefault();
          onChange(event.key === '0' && value === 1 ? 10 : Number(event.key));
        }}
      />
    </span>
  );
}

/** What one half of a head has on one scale. */
export interface RatedSide {
  /** "left", or nothing for a whole head. */
  readonly side: string | null;
  readonly value: number | null;
  readonly pale: number | null;
  readonly yesterday: number | null;
  readonly said: Said | null;
  readonly onChange: (value: number) => void;
}

/** "7, 6 to 8", once it is rated. */
const saidOf = ({ value, said }: RatedSide): string | null =>
  said && value !== null
    ? `${formatIndex(said.middle)}, ${formatIndex(said.low)} to ${formatIndex(said.high)}`
    : null;

/** One scale of a day: its words, its value as a picture, and a ruler for each half. */
export function ScaleRow({
  scale,
  sides,
  skin,
  hair,
}: {
  readonly scale: RatingScale & { readonly id: RatingId };
  readonly sides: readonly RatedSide[];
  readonly skin: string;
  readonly hair: string;
}) {
  const rated = sides.filter(({ value }) => value !== null);
  const first = sides[0]!;
  const shown = first.value ?? first.pale;
  // Halves that were said alike are told once.
  const saidWords = [...new Set(sides.flatMap((side) => saidOf(side) ?? []))].join('; ');
  return (
    <div className={styles.row} data-rated={rated.length === sides.length} data-halves={sides.length > 1}>
      <div className={styles.words}>
        <b>{scale.label}</b>{' '}
        <span className={styles.value}>
          {sides
            .map(({ value, pale }) => (value === null && pale === null ? '–' : formatIndex(value ?? pale!)))
            .join(' · ')}
        </span>
        {saidWords && <small className={styles.we}>we said {saidWords}</small>}
        <small className={styles.anchor}>
          {first.value === null ? scale.look : anchorWords(scale, first.value)}
        </small>
      </div>
      <div className={styles.chosen}>
        {shown !== null && <RatingPicture scale={scale.id} rating={shown} skin={skin} hair={hair} />}
      </div>
      <div className={styles.track}>
        <div className={styles.anchors} aria-hidden="true">
          {ANCHOR_POINTS.map((point) => (
            <span key={point} style={at(point)} data-near={shown !== null && Math.abs(shown - point) <= 1.5}>
              <RatingPicture scale={scale.id} rating={point} skin={skin} hair={hair} />
            </span>
          ))}
        </div>
        {sides.map(({ side, ...own }) => (
          <div key={side ?? 'whole'} className={styles.side}>
            {side && <span className={styles.sideName}>{side}</span>}
            <Ruler scale={scale} name={side ? `${scale.label}, ${side}` : scale.label} {...own} />
          </div>
        ))}
      </div>
    </div>
  );
}
