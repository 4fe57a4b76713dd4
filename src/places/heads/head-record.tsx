'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Clock } from '@/core/formats/display';
import { plural } from '@/core/words/words';
import { ConfirmDialog } from '@/ui/feedback/confirm-dialog';
import { UndoNote, type Done } from '@/ui/feedback/undo-note';
import { SelectField } from '@/ui/fields/select-field';
import { formatDay } from '@/ui/format';
import { useAction } from '@/ui/hooks/use-action';
import { archiveHead, deleteHead, mergeHeads, undoMerge } from './actions';
import styles from './head-record.module.css';

type Asked = 'merge' | 'delete' | null;

/** What can be done with a whole record: put away, merged with another entry of the same person, deleted for good. */
export function HeadRecordActions({
  head,
  counts,
  others,
  merges,
  clock,
}: {
  head: { readonly id: string; readonly name: string; readonly archivedAtMs: number | null };
  counts: { readonly sets: number; readonly plans: number };
  others: readonly { readonly id: string; readonly name: string; readonly description: string }[];
  merges: readonly { readonly id: string; readonly name: string; readonly mergedAtMs: number }[];
  clock: Clock;
}) {
  const router = useRouter();
  const [asked, setAsked] = useState<Asked>(null);
  const [otherId, setOtherId] = useState('');
  const [done, setDone] = useState<Done | null>(null);
  const { run, isBusy, problem } = useAction();
  const isAway = head.archivedAtMs !== null;
  const other = others.find(({ id }) => id === otherId);

  const archive = (isArchived: boolean) =>
    run(
      () => archiveHead({ id: head.id, isArchived }),
      () => {
        setDone({
          words: isArchived ? `${head.name} is put away.` : `${head.name} is back.`,
          undo: () => void archive(!isArchived),
        });
        router.refresh();
      },
    );
  const part = (mergeId: string) =>
    run(
      () => undoMerge({ mergeId }),
      () => {
        setDone(null);
        router.refresh();
      },
    );
  const merge = () =>
    run(
      () => mergeHeads({ keptId: head.id, mergedId: otherId }),
      ({ mergeId }) => {
        setDone({
          words: `${other?.name ?? 'It'} is merged into ${head.name}.`,
          undo: () => void part(mergeId),
        });
        setOtherId('');
        router.refresh();
      },
    );
  return (
    <div className={styles.record}>
      <UndoNote done={done} />
      {problem}
      <p>
        <Button size="small" disabled={isBusy} onClick={() => void archive(!isAway)}>
          {isAway ? 'Bring back' : 'Put away'}
        </Button>
        {others.length > 0 && (
          <Button size="small" disabled={isBusy} onClick={() => setAsked('merge')}>
            Merge with another entry
          </Button>
        )}
        <Button size="small" color="error" disabled={isBusy} onClick={() => setAsked('delete')}>
          Delete for good
        </Button>
      </p>
      {merges.length > 0 && (
        <ul>
          {merges.map((entry) => (
            <li key={entry.id}>
              {entry.name} was merged into this on {formatDay(entry.mergedAtMs, clock)}.{' '}
              <Button size="small" disabled={isBusy} onClick={() => void part(entry.id)}>
                Part them again
              </Button>
            </li>
          ))}
        </ul>
      )}
      {asked === 'merge' && (
        <ConfirmDialog
          title="Two entries of the same person"
          confirm={other ? `Merge ${other.name} into ${head.name}` : 'Merge'}
          isReady={otherId !== ''}
          onCancel={() => setAsked(null)}
          onConfirm={() => {
            setAsked(null);
            void merge();
          }}
        >
          <SelectField
            label="The other entry"
            value={otherId}
            options={[
              { value: '', label: 'Choose…' },
              ...others.map(({ id, name, description }) => ({
                value: id,
                label: description ? `${name}, ${description}` : name,
              })),
            ]}
            onChange={setOtherId}
          />
          <p>
            Its measurements, plans and sets come here; name, cautions and notes stay as they are on this
            page. The other entry is put away. It can be undone.
          </p>
        </ConfirmDialog>
      )}
      {asked === 'delete' && (
        <ConfirmDialog
          title={`Delete ${head.name} for good?`}
          confirm="Delete for good"
          typed={head.name}
          onCancel={() => setAsked(null)}
          onConfirm={() => {
            setAsked(null);
            void run(
              () => deleteHead({ id: head.id }),
              () => router.push('/heads'),
            );
          }}
        >
          <Alert severity="warning">
            Everything kept of {head.name} goes: measurements, notes, {plural(counts.plans, 'open plan')},{' '}
            {plural(counts.sets, 'set')} with every tap and day of wear. This cannot be undone. Copies of the
            database taken before still hold it until they are replaced, within two months; delete those files
            too where that is asked for.
          </Alert>
        </ConfirmDialog>
      )}
    </div>
  );
}
