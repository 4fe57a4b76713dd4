'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { SelectField } from '@/ui/fields/select-field';
import { openFile } from './actions';
import styles from './plans-page.module.css';

const MOST_LETTERS = 80;

/** Opens a brief or plan file as a new plan for a head. */
export function OpenFile({ heads }: { heads: readonly { readonly id: string; readonly name: string }[] }) {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const [headId, setHeadId] = useState(heads[0]?.id ?? '');
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [busy, setBusy] = useState(false);
  const open = async (file: File | undefined) => {
    if (!file) return;
    setBusy(true);
    setProblems([]);
    try {
      const title = file.name.replace(/(-(brief|plan))?\.json$/i, '').slice(0, MOST_LETTERS) || 'Opened plan';
      const answer = await openFile({ headId, title, text: await file.text() });
      if (answer.ok) return router.push(`/plan/${answer.value.id}`);
      setProblems(answer.errors.map(({ path, message }) => (path ? `${path}: ${message}` : message)));
    } catch {
      setProblems(['The file could not be sent; try again']);
    }
    setBusy(false);
  };
  return (
    <div className={styles.file}>
      <SelectField
        label="Open a file for"
        value={headId}
        options={heads.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={setHeadId}
      />
      <Button variant="outlined" disabled={busy} onClick={() => input.current?.click()}>
        Choose a brief or plan file
      </Button>
      <input
        ref={input}
        type="file"
        accept="application/json,.json"
        aria-label="A brief or plan file"
        hidden
        onChange={(event) => {
          void open(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      {problems.length > 0 && (
        <Alert severity="warning">
          {problems.slice(0, 4).map((words) => (
            <div key={words}>{words}.</div>
          ))}
        </Alert>
      )}
    </div>
  );
}
