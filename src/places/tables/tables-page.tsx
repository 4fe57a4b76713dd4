'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { Clock } from '@/core/formats/display';
import {
  MOST_ROWS,
  rowFates,
  TABLE_IDS,
  tables,
  type RowFate,
  type RowFateId,
  type TableId,
} from '@/core/tables/table';
import { plural, sentence } from '@/core/words/words';
import { Pill, PillSet } from '@/ui/fields/pill';
import { formatMoment } from '@/ui/format';
import { Page, Part } from '@/ui/shell/page';
import { beginImport, Refused, sendRows, undoImport, type ReadFile, type Stoppable } from './send-rows';
import type { loadImports } from './queries';
import styles from './tables-page.module.css';

type Import = Awaited<ReturnType<typeof loadImports>>[number];

/** Rows of a preview that are drawn; all of them are counted, and those that are left out come first. */
const DRAWN_ROWS = 200;
const FATE_IDS = Object.keys(rowFates) as RowFateId[];

type State =
  | { readonly is: 'empty' }
  | {
      readonly is: 'working';
      readonly what: 'looking' | 'taking';
      readonly file: ReadFile;
      readonly done: number;
    }
  | { readonly is: 'looked'; readonly file: ReadFile; readonly fates: readonly RowFate[] }
  | { readonly is: 'taken'; readonly importId: string; readonly count: number };

async function readFile(file: File): Promise<ReadFile> {
  const { default: Papa } = await import('papaparse');
  const { data, errors } = Papa.parse<string[]>(await file.text(), { skipEmptyLines: 'greedy' });
  const [columns, ...rows] = data;
  // What follows an open quote is one cell: nothing of it can be trusted.
  if (errors.some(({ code }) => code === 'MissingQuotes'))
    throw new Refused('a quotation mark is opened and not closed: nothing after it can be read');
  if (!columns || rows.length === 0)
    throw new Refused('this file has no rows under the names of its columns');
  if (rows.length > MOST_ROWS) throw new Refused(`at most ${MOST_ROWS.toLocaleString('en-GB')} rows at once`);
  return { name: file.name, columns, rows };
}

/** Tables out and in: every row with what becomes of it before anything is changed, and each import can be taken back. */
export function TablesPage({
  imports,
  clock,
}: {
  readonly imports: readonly Import[];
  readonly clock: Clock;
}) {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const stop = useRef<Stoppable>({ isStopped: false });
  const [table, setTable] = useState<TableId>('wear-days');
  const [state, setState] = useState<State>({ is: 'empty' });
  const [problem, setProblem] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  const fail = (thrown: unknown) =>
    setProblem(
      thrown instanceof Refused
        ? sentence(thrown.message)
        : 'No connection. Nothing you chose is lost; try again.',
    );
  const look = async (chosen: File) => {
    setProblem(null);
    setSaid('');
    stop.current = { isStopped: false };
    try {
      const file = await readFile(chosen);
      setState({ is: 'working', what: 'looking', file, done: 0 });
      const fates = await sendRows(table, file, null, stop.current, (done) =>
        setState({ is: 'working', what: 'looking', file, done }),
      );
      setState(fates ? { is: 'looked', file, fates } : { is: 'empty' });
    } catch (thrown) {
      setState({ is: 'empty' });
      fail(thrown);
    }
  };
  const takeBack = async (importId: string) => {
    try {
      const left = await undoImport(importId);
      setSaid(
        left > 0
          ? `Taken back. ${plural(left, 'row')} stay: they were changed since.`
          : 'Taken back, all of it.',
      );
      setState({ is: 'empty' });
      router.refresh();
    } catch (thrown) {
      fail(thrown);
    }
  };
  const take = async (file: ReadFile) => {
    setProblem(null);
    stop.current = { isStopped: false };
    let importId: string | null = null;
    try {
      importId = await beginImport(table, file.name);
      const under = importId;
      setState({ is: 'working', what: 'taking', file, done: 0 });
      const fates = await sendRows(table, file, under, stop.current, (done) =>
        setState({ is: 'working', what: 'taking', file, done }),
      );
      // Stopped half way, nothing of it stays.
      if (!fates) await takeBack(under);
      else {
        setState({
          is: 'taken',
          importId: under,
          count: fates.filter(({ fate }) => rowFates[fate].isTaken).length,
        });
        router.refresh();
      }
    } catch (thrown) {
      fail(thrown);
      setState({ is: 'empty' });
      if (importId) await takeBack(importId);
    }
  };
  return (
    <Page title="Tables" lead="Sets, days of wear and checks, as files that any spreadsheet opens.">
      <Part title="Out">
        <div className={styles.row}>
          {TABLE_IDS.map((id) => (
            <Button key={id} variant="outlined" href={`/api/v1/tables/${id}`} download>
              {tables[id].label}
            </Button>
          ))}
        </div>
      </Part>
      <Part title="In">
        <PillSet legend="What the rows are">
          {TABLE_IDS.map((id) => (
            <Pill
              key={id}
              label={tables[id].label}
              isPressed={id === table}
              isDisabled={state.is === 'working'}
              onPress={() => {
                setTable(id);
                setState({ is: 'empty' });
              }}
            />
          ))}
        </PillSet>
        <p className={styles.hint}>
          The first row names the columns: {tables[table].columns.join(', ')}. Needed:{' '}
          {tables[table].needs.join(', ')}. Write one out to see how they are filled.
        </p>
        <Button variant="outlined" disabled={state.is === 'working'} onClick={() => input.current?.click()}>
          Choose a file
        </Button>
        <input
          ref={input}
          type="file"
          accept=".csv,text/csv,text/plain"
          hidden
          onChange={(event) => {
            const chosen = event.target.files?.[0];
            event.target.value = '';
            if (chosen) void look(chosen);
          }}
        />
        <div role="status" className={styles.status}>
          {said}
          {problem && <Alert severity="warning">{problem}</Alert>}
          {state.is === 'working' && (
            <>
              <progress max={state.file.rows.length} value={state.done} aria-label="Rows done" />
              {state.what === 'looking' ? 'Looking at' : 'Taking in'} {state.done.toLocaleString('en-GB')} of{' '}
              {plural(state.file.rows.length, 'row')}{' '}
              <Button size="small" onClick={() => (stop.current.isStopped = true)}>
                {state.what === 'looking' ? 'Stop' : 'Stop, and take back'}
              </Button>
            </>
          )}
          {state.is === 'taken' && (
            <>
              {plural(state.count, 'row')} taken in.{' '}
              <Button size="small" onClick={() => void takeBack(state.importId)}>
                Take them back
              </Button>
            </>
          )}
        </div>
        {state.is === 'looked' && (
          <Preview
            {...state}
            onTake={() => void take(state.file)}
            onLeave={() => setState({ is: 'empty' })}
          />
        )}
      </Part>
      {imports.length > 0 && (
        <Part title="Taken in before">
          <ul className={styles.imports}>
            {imports.map((one) => (
              <li key={one.id}>
                <b>{tables[one.table].label}</b>
                <span>
                  {formatMoment(one.begunAtMs, clock)}, {plural(one.rows, 'row')}
                  {one.fileName && `, ${one.fileName}`}
                </span>
                {one.undoneAtMs === null ? (
                  <Button
                    size="small"
                    disabled={state.is === 'working'}
                    onClick={() => void takeBack(one.id)}
                  >
                    Take back
                  </Button>
                ) : (
                  <small>taken back</small>
                )}
              </li>
            ))}
          </ul>
        </Part>
      )}
    </Page>
  );
}

/** Every row with what becomes of it, those that are left out first. */
function Preview({
  file,
  fates,
  onTake,
  onLeave,
}: {
  readonly file: ReadFile;
  readonly fates: readonly RowFate[];
  readonly onTake: () => void;
  readonly onLeave: () => void;
}) {
  const [only, setOnly] = useState<RowFateId | null>(null);
  const counts = FATE_IDS.map((id) => [id, fates.filter(({ fate }) => fate === id).length] as const);
  const taken = counts.reduce((sum, [id, n]) => sum + (rowFates[id].isTaken ? n : 0), 0);
  const order = fates
    .map((fate, i) => ({ ...fate, i }))
    .filter(({ fate }) => only === null || fate === only)
    .sort((a, b) => Number(b.fate === 'refused') - Number(a.fate === 'refused') || a.i - b.i);
  return (
    <>
      <PillSet legend={`${plural(fates.length, 'row')} of ${file.name}`}>
        {counts
          .filter(([, n]) => n > 0)
          .map(([id, n]) => (
            <Pill
              key={id}
              label={`${rowFates[id].label}: ${n.toLocaleString('en-GB')}`}
              isPressed={only === id}
              onPress={() => setOnly(only === id ? null : id)}
            />
          ))}
      </PillSet>
      <div className={styles.preview} tabIndex={0} role="region" aria-label="Rows">
        <table>
          <thead>
            <tr>
              <th>Row</th>
              <th>What becomes of it</th>
              {file.columns.map((name, i) => (
                <th key={`${i}/${name}`}>{name}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {order.slice(0, DRAWN_ROWS).map(({ i, fate, words }) => (
              <tr key={i} data-fate={fate}>
                <td>{i + 2}</td>
                <td>{words ? `${rowFates[fate].label}: ${words}` : rowFates[fate].label}</td>
                {file.columns.map((name, column) => (
                  <td key={`${column}/${name}`}>{file.rows[i]![column] ?? ''}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {order.length > DRAWN_ROWS && (
        <p className={styles.hint}>The first {DRAWN_ROWS} are drawn; all of them are counted above.</p>
      )}
      <div className={styles.row}>
        <Button variant="contained" disabled={taken === 0} onClick={onTake}>
          {taken === 0 ? 'Nothing to take in' : `Take in ${plural(taken, 'row')}`}
        </Button>
        <Button onClick={onLeave}>Leave it</Button>
      </div>
    </>
  );
}
