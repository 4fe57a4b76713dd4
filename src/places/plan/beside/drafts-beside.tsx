'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import Link from '@/ui/shell/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { formatDay, formatDays } from '@/ui/format';
import { HeadThumb } from '@/ui/crown-map/head-thumb';
import { roundTones } from '@/ui/round/round-tones';
import { LinkButton } from '@/ui/shell/link-button';
import { Page, Part } from '@/ui/shell/page';
import { useUnits } from '@/ui/units-context';
import { bookPlan, copyPlan, planLikeSet, putAside, renamePlan } from '../actions';
import { comparedPlan, differenceWords } from '../difference-words';
import { setLabelOf } from '@/core/draft/labels';
import type { loadBeside } from '../queries';
import styles from './beside.module.css';
import { besideRows, isDifferent } from './rows';

const RoundDialog = dynamic(() => import('@/ui/round/round-dialog').then((module) => module.RoundDialog), {
  ssr: false,
});

type Loaded = NonNullable<Awaited<ReturnType<typeof loadBeside>>>;
type Draft = Loaded['drafts'][number];

const LETTERS = ['A', 'B', 'C'] as const;
/** More heads beside each other would be too small to tell apart. */
const MOST_TURNED = 2;
const OFFLINE = { ok: false, errors: [{ message: 'No connection; try again' }] } as const;

/** Up to three drafts of one head beside each other: what differs, in a table and in words. */
export function DraftsBeside({ head, drafts, open, earlier, products, tools, handUnits, clock }: Loaded) {
  const { units } = useUnits();
  const router = useRouter();
  const [isAll, setAll] = useState(false);
  const [isRound, setRound] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [aside, setAside] = useState<{ id: string; title: string } | null>(null);

  const compared = drafts.map((draft) => ({
    content: { title: draft.title, brief: draft.brief, layerProductIds: draft.layerProductIds },
    answer: draft.answer.ok ? draft.answer.value : null,
  }));
  const rows = besideRows(compared, { products, tools, handUnits, units, clock });
  const shown = isAll || drafts.length < 2 ? rows : rows.filter(isDifferent);
  const figures = compared.map(({ answer }) => answer && comparedPlan(answer.view.plan));
  const choose = (id: string, isShown: boolean) => {
    const [first, ...beside] = drafts.map((draft) => draft.id);
    const next = isShown ? [...beside, id] : beside.filter((other) => other !== id);
    router.replace(`/plan/${first}/beside?with=${next.join(',') || 'none'}`);
  };
  const done = async (
    work: Promise<{ ok: true } | { ok: false; errors: readonly { message: string }[] }>,
  ): Promise<boolean> => {
    const answer = await work.catch(() => OFFLINE);
    setProblem(answer.ok ? null : (answer.errors[0]?.message ?? null));
    if (answer.ok) router.refresh();
    return answer.ok;
  };

  return (
    <Page
      title="Compare drafts"
      lead={
        <>
          For <Link href={`/heads/${head.id}`}>{head.name}</Link>
        </>
      }
      action={
        drafts.length > 1 && (
          <span className={styles.actions}>
            <Button variant="outlined" onClick={() => setRound(true)}>
              In the round
            </Button>
            <Button variant="outlined" aria-pressed={!isAll} onClick={() => setAll(!isAll)}>
              {isAll ? 'Only what differs' : 'Everything'}
            </Button>
          </span>
        )
      }
    >
      {isRound && (
        <RoundDialog
          heads={drafts.slice(0, MOST_TURNED).map(({ title, brief }, i) => ({
            title: `${LETTERS[i]} · ${title}`,
            brief,
            tones: roundTones(head.skinTone, head.hairTone, brief.head.conditions ?? []),
          }))}
          onClose={() => setRound(false)}
        />
      )}
      {problem && <Alert severity="warning">{problem}.</Alert>}
      {aside && (
        <Alert
          severity="info"
          action={
            <Button
              size="small"
              onClick={async () => {
                if (await done(putAside({ id: aside.id, isAside: false }))) setAside(null);
              }}
            >
              Take it back
            </Button>
          }
        >
          “{aside.title}” is put aside.
        </Alert>
      )}
      {open.length > LETTERS.length - 1 && (
        <fieldset className={styles.choose}>
          <legend>Beside “{drafts[0]?.title}” stand</legend>
          {open.map(({ id, title }) => {
            const isShown = drafts.some((draft) => draft.id === id);
            return (
              <label key={id}>
                <input
                  type="checkbox"
                  checked={isShown}
                  disabled={!isShown && drafts.length >= LETTERS.length}
                  onChange={() => choose(id, !isShown)}
                />
                {title}
              </label>
            );
          })}
        </fieldset>
      )}
      <div className={styles.scroll} tabIndex={0} role="region" aria-label="Comparison">
        <table className={styles.table}>
          <thead>
            <tr>
              <td />
              {drafts.map((draft, i) => (
                <DraftHead
                  key={draft.id}
                  draft={draft}
                  letter={LETTERS[i]!}
                  skin={head.skinTone}
                  hair={head.hairTone}
                  isFull={drafts.length >= LETTERS.length}
                  onDone={done}
                  onAside={() => setAside({ id: draft.id, title: draft.title })}
                />
              ))}
            </tr>
          </thead>
          <tbody>
            {drafts.length > 1 && (
              <tr className={styles.words}>
                <th scope="row">Against A</th>
                {figures.map((column, i) => (
                  <td key={drafts[i]!.id}>
                    {i === 0 || !column || !figures[0]
                      ? '–'
                      : differenceWords(figures[0], column, units).join(', ') || 'comes to the same'}
                  </td>
                ))}
              </tr>
            )}
            {shown.map((row) => (
              <tr key={`${row.kind}/${row.id}`} data-kind={row.kind}>
                <th scope="row">{row.title}</th>
                {row.cells.map((cell, i) => (
                  <td key={drafts[i]!.id} data-differs={i > 0 && cell !== row.cells[0]}>
                    {cell ?? '–'}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {drafts.length < 2 && (
        <p className={styles.hint}>
          Copy this draft and change the copy: then both stand here beside each other.
        </p>
      )}
      {earlier.length > 0 && (
        <Part title="Start from a set that was done" note="on the head as it is measured now">
          <ul className={styles.earlier}>
            {earlier.map((set) => (
              <li key={set.setId}>
                <span>
                  <b>{setLabelOf(set.set)}</b>, {formatDay(set.startedAtMs, clock)}
                  {set.lastGoodDay !== null && `, good for ${formatDays(set.lastGoodDay)}`}
                </span>
                <Button
                  size="small"
                  variant="outlined"
                  disabled={drafts.length >= LETTERS.length}
                  onClick={() => void done(planLikeSet({ setId: set.setId }))}
                  aria-label={`Start from ${setLabelOf(set.set)}, ${formatDay(set.startedAtMs, clock)}`}
                >
                  Start from this
                </Button>
              </li>
            ))}
          </ul>
          {drafts.length >= LETTERS.length && (
            <p className={styles.hint}>Three stand here already: put one aside first.</p>
          )}
        </Part>
      )}
    </Page>
  );
}

function DraftHead({
  draft,
  letter,
  skin,
  hair,
  isFull,
  onDone,
  onAside,
}: {
  draft: Draft;
  letter: string;
  skin: string;
  hair: string;
  isFull: boolean;
  onDone: (
    work: Promise<{ ok: true } | { ok: false; errors: readonly { message: string }[] }>,
  ) => Promise<boolean>;
  onAside: () => void;
}) {
  const [title, setTitle] = useState(draft.title);
  const isBooked = draft.status === 'chosen';
  const rename = () => {
    if (title.trim() !== draft.title) void onDone(renamePlan({ id: draft.id, title }));
  };
  return (
    <th scope="col" className={styles.draft} aria-label={`${letter}: ${draft.title}`}>
      <div className={styles.top}>
        <span className={styles.letter}>{letter}</span>
        {draft.answer.ok && <HeadThumb drawn={draft.answer.value.drawn} skin={skin} hair={hair} />}
      </div>
      <input
        className={styles.title}
        aria-label={`Name of draft ${letter}`}
        value={title}
        maxLength={80}
        onChange={(event) => setTitle(event.target.value)}
        onBlur={rename}
        onKeyDown={(event) => {
          if (event.key === 'Enter') rename();
        }}
      />
      <div className={styles.actions}>
        <LinkButton variant="outlined" href={`/plan/${draft.id}`}>
          Open
        </LinkButton>
        <Button
          size="small"
          variant={isBooked ? 'contained' : 'outlined'}
          aria-pressed={isBooked}
          onClick={() => void onDone(bookPlan({ id: draft.id, isBooked: !isBooked }))}
        >
          {isBooked ? 'Booked' : 'Choose'}
        </Button>
        <Button size="small" disabled={isFull} onClick={() => void onDone(copyPlan({ id: draft.id }))}>
          Copy
        </Button>
        <Button
          size="small"
          disabled={isBooked}
          onClick={async () => {
            if (await onDone(putAside({ id: draft.id, isAside: true }))) onAside();
          }}
        >
          Put aside
        </Button>
      </div>
    </th>
  );
}
