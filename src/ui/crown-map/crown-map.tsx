'use client';
import { useId, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { DRAWING, hairlinePath, type DrawnSection } from '@/core/parting/drawn-layout';
import { ZONE_LABEL } from '@/core/hair/zone';
import { WEAR_MARK_IDS, type WearMarkId } from '@/core/diary/day-words';
import { sectionName } from '@/core/parting/section-name';
import { moveFocus } from './crown-map-focus';
import styles from './crown-map.module.css';
import { formatChanceShort } from '../format';
import { HEAD_DRAWING } from '@/core/parting/head-drawing';
import type { SectionMotif } from '@/core/draft/labels';
import { Motif, MOTIF_ROOM } from './motif';
import { useHold } from './use-hold';
import { stateWords, wetStep, type SectionState } from './section-state';
import { hairTone, skinTone } from './tones';

export interface CrownMapProps {
  /** Said of the whole map: technique, count, part. */
  readonly name: string;
  readonly sections: readonly DrawnSection[];
  readonly skin: string;
  readonly hair: string;
  /** Says the technique of a section without colour; none at the chair, where states are drawn. */
  readonly motifOf?: (number: number) => SectionMotif | null;
  /** The part that is worn. */
  readonly partPath?: string | null;
  readonly stateOf?: (number: number) => SectionState;
  /** Text in place of the number. */
  readonly labelOf?: (section: DrawnSection) => string;
  /** Further words for a screen reader. */
  readonly detailOf?: (section: DrawnSection) => string;
  readonly onPick?: (number: number) => void;
  /** Pressed long, or with the context menu. */
  readonly onHold?: (number: number) => void;
  /** Facing the client: turned by half, never mirrored. */
  readonly turned?: boolean;
  /** Drawn over the sections and turned with them. */
  readonly overlay?: ReactNode;
}

const HAIRLINE = hairlinePath();
const PLAIN: SectionState = { kind: 'plain' };
/** Numbers smaller than this cannot be read and are left to the focus ring. */
const SMALLEST_LABEL = 4.6;
const DIGIT_PAUSE_MS = 700;
/** The hatch of what is wrong, apart by form and by place, so that two of them lie beside each other. */
const MARK_STROKES: Readonly<Record<WearMarkId, string>> = {
  frizz: 'M0 2q1.500 -2 3 0t3 0t3 0t3 0',
  'lost-shape': 'M1 5l3 3M4 5l-3 3M7 5l3 3M10 5l-3 3',
  dry: 'M3 3.500h0.100M9 3.500h0.100',
  itch: 'M0 6l2 -3l2 3l2 -3l2 3l2 -3l2 3',
};

/** The scalp from above, sections numbered in working order. One map for every place. */
export function CrownMap(props: CrownMapProps) {
  const { sections, stateOf = () => PLAIN, motifOf = () => null, turned = false, onPick } = props;
  const [lastFocused, setFocused] = useState(1);
  const focused = sections.some(({ number }) => number === lastFocused) ? lastFocused : sections[0]?.number;
  const nodes = useRef(new Map<number, SVGGElement>());
  const typed = useRef({ digits: '', atMs: 0 });
  const hold = useHold();
  const id = useId();
  const skin = skinTone(props.skin);
  const hair = hairTone(props.hair);

  const focusOn = (number: number) => {
    setFocused(number);
    nodes.current.get(number)?.focus();
  };
  const onKeyDown = (event: KeyboardEvent, number: number) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (/^\d$/.test(event.key)) {
      const fresh = event.timeStamp - typed.current.atMs < DIGIT_PAUSE_MS ? typed.current.digits : '';
      const digits = fresh + event.key;
      typed.current = { digits, atMs: event.timeStamp };
      if (sections.some((section) => section.number === Number(digits))) focusOn(Number(digits));
      return;
    }
    if (event.key === 'Enter' && onPick) {
      event.preventDefault();
      onPick(number);
      return;
    }
    const next = moveFocus(sections, number, event.key, turned);
    if (next === number && !event.key.startsWith('Arrow')) return;
    event.preventDefault();
    focusOn(next);
  };

  const turn = turned ? `rotate(180 ${DRAWING.poleX} ${DRAWING.poleY})` : undefined;
  const words = turned
    ? { top: 'nape', bottom: 'face', left: 'right', right: 'left' }
    : { top: 'face', bottom: 'nape', left: 'left', right: 'right' };
  const stroke =
    sections.length <= 40 ? 1.3 : sections.length <= 90 ? 1 : sections.length <= 200 ? 0.7 : 0.45;

  return (
    <svg
      className={styles.map}
      viewBox={`0 0 ${DRAWING.width} ${DRAWING.height}`}
      role="group"
      aria-label={props.name}
    >
      <defs>
        <radialGradient id={`${id}light`} cx="50%" cy="46%" r="62%">
          <stop offset="0" stopColor="#fffaf0" stopOpacity="0.45" />
          <stop offset="0.6" stopColor="#fffaf0" stopOpacity="0.1" />
          <stop offset="1" stopColor="#3a2218" stopOpacity="0.14" />
        </radialGradient>
        {[0, 1, 2, 3].map((step) => {
          const gap = [3.2, 4.6, 7, 11][step]!;
          return (
            <pattern key={step} id={`${id}wet${step}`} width="10" height={gap} patternUnits="userSpaceOnUse">
              <path
                d={`M0 ${gap / 2}q2.500 ${-gap / 3} 5 0t5 0`}
                fill="none"
                className={styles.wave}
                strokeWidth={[1, 0.9, 0.8, 0.7][step]}
              />
            </pattern>
          );
        })}
        <pattern id={`${id}dryingOut`} width="9" height="9" patternUnits="userSpaceOnUse">
          <path d="M-1 10L10 -1M-1 1L1 -1M8 10L10 8" className={styles.dryingOut} />
        </pattern>
        <pattern id={`${id}done`} width="5" height="5" patternUnits="userSpaceOnUse">
          <circle cx="2.500" cy="2.500" r="0.550" className={styles.doneDot} />
        </pattern>
        {WEAR_MARK_IDS.map((mark) => (
          <pattern key={mark} id={`${id}${mark}`} width="12" height="8" patternUnits="userSpaceOnUse">
            <path d={MARK_STROKES[mark]} className={styles.markStroke} data-mark={mark} />
          </pattern>
        ))}
        {sections.map((section) => (
          <clipPath key={section.number} id={`${id}c${section.number}`}>
            <path d={section.path} />
          </clipPath>
        ))}
      </defs>
      <g transform={turn}>
        {HEAD_DRAWING.neck.map((d) => (
          <path key={d} d={d} className={styles.neck} style={{ stroke: skin.fill }} />
        ))}
        {HEAD_DRAWING.ears.map((d) => (
          <path key={d} d={d} fill={skin.fill} stroke={skin.edge} strokeWidth="0.900" />
        ))}
        {HEAD_DRAWING.earFolds.map((d) => (
          <path key={d} d={d} fill="none" stroke={skin.edge} strokeWidth="0.900" strokeLinecap="round" />
        ))}
        <path d={HEAD_DRAWING.nose} fill={skin.fill} stroke={skin.edge} strokeWidth="0.900" />
        <path d={HEAD_DRAWING.outline} fill={skin.fill} stroke={skin.edge} strokeWidth="0.900" />
        <path d={HEAD_DRAWING.outline} className={styles.rim} />
        {HEAD_DRAWING.brows.map((d) => (
          <path key={d} d={d} fill="none" stroke={skin.edge} strokeWidth="1.400" strokeLinecap="round" />
        ))}
        <path d={HAIRLINE} className={styles.scalp} />
      </g>
      <g transform={turn} strokeWidth={stroke}>
        {sections.map((section) => {
          const state = stateOf(section.number);
          return (
            <g
              key={section.number}
              ref={(node) => {
                if (node) nodes.current.set(section.number, node);
                else nodes.current.delete(section.number);
              }}
              role="button"
              tabIndex={section.number === focused ? 0 : -1}
              className={styles.section}
              data-state={state.kind}
              data-hand={state.kind === 'done' ? state.hand?.place : undefined}
              data-section={section.number}
              aria-label={[
                `Section ${sectionName(section.number)} of ${sections.length}`,
                ZONE_LABEL[section.zone],
                section.side === 'middle' ? 'middle' : `client’s ${section.side}`,
                section.product && `product side ${section.product}`,
                props.detailOf?.(section),
                stateWords(state),
              ]
                .filter(Boolean)
                .join(', ')}
              onFocus={() => setFocused(section.number)}
              onClick={() => {
                if (!hold.wasHeld()) onPick?.(section.number);
              }}
              {...(props.onHold ? hold.on(() => props.onHold?.(section.number)) : {})}
              onKeyDown={(event) => onKeyDown(event, section.number)}
            >
              <path d={section.path} className={styles.fill} />
              {state.kind === 'done' && <path d={section.path} fill={`url(#${id}done)`} />}
              {state.kind === 'drying-out' && <path d={section.path} fill={`url(#${id}dryingOut)`} />}
              {state.kind === 'drying' && (
                <path d={section.path} fill={`url(#${id}wet${wetStep(state.chanceDry)})`} />
              )}
              {state.kind === 'marked' &&
                state.marks.map((mark) => <path key={mark} d={section.path} fill={`url(#${id}${mark})`} />)}
              <Motif section={section} motif={motifOf(section.number)} stroke={hair.stroke} />
              {state.kind === 'in-hand' && (
                <path d={section.path} className={styles.inHand} clipPath={`url(#${id}c${section.number})`} />
              )}
              <path
                d={section.path}
                className={styles.focusRing}
                clipPath={`url(#${id}c${section.number})`}
              />
            </g>
          );
        })}
        <path d={HAIRLINE} fill={`url(#${id}light)`} pointerEvents="none" />
        {props.partPath && (
          <>
            <path d={props.partPath} className={styles.part} stroke={hair.stroke} />
            <path d={props.partPath} className={styles.partCore} />
          </>
        )}
        <path d={HAIRLINE} className={styles.hairline} stroke={hair.stroke} />
      </g>
      <g className={styles.labels} aria-hidden="true">
        {sections.map((section) => (
          <SectionLabel
            key={section.number}
            section={section}
            text={props.labelOf?.(section) ?? `${sectionName(section.number)}${section.product ?? ''}`}
            state={stateOf(section.number)}
            turned={turned}
            hasMotif={motifOf(section.number) !== null && section.spine === null}
          />
        ))}
      </g>
      {props.overlay && <g transform={turn}>{props.overlay}</g>}
      <g className={styles.words} aria-hidden="true">
        <text x={DRAWING.poleX} y="13">
          {words.top}
        </text>
        <text x={DRAWING.poleX} y={DRAWING.height - 8}>
          {words.bottom}
        </text>
        <text x="1" y="92" className={styles.wordLeft}>
          {words.left}
        </text>
        <text x={DRAWING.width - 1} y="92" className={styles.wordRight}>
          {words.right}
        </text>
      </g>
    </svg>
  );
}

function SectionLabel({
  section,
  text,
  state,
  turned,
  hasMotif,
}: {
  section: DrawnSection;
  text: string;
  state: SectionState;
  turned: boolean;
  hasMotif: boolean;
}) {
  const r = section.clearRadius;
  const size = Math.min(
    15,
    Math.max(SMALLEST_LABEL, r * (text.length <= 2 ? 0.95 : text.length === 3 ? 0.8 : 0.5)),
  );
  if (r * 1.1 < SMALLEST_LABEL) return null;
  const x = turned ? 2 * DRAWING.poleX - section.x : section.x;
  const y = turned ? 2 * DRAWING.poleY - section.y : section.y;
  const lift = hasMotif && r >= MOTIF_ROOM ? r * 0.14 : 0;
  const mark =
    state.kind === 'done'
      ? (state.hand?.mark ?? '✓')
      : state.kind === 'dry'
        ? 'dry'
        : state.kind === 'drying'
          ? formatChanceShort(state.chanceDry)
          : null;
  const up = mark && r >= 9 ? size * 0.3 : 0;
  return (
    <g data-state={state.kind}>
      <text className={styles.number} x={x} y={y - lift - up} fontSize={size}>
        {text}
      </text>
      {mark && r >= 9 && (
        <text className={styles.mark} x={x} y={y - lift + size * 0.72} fontSize={Math.max(6.4, size * 0.58)}>
          {mark}
        </text>
      )}
    </g>
  );
}
