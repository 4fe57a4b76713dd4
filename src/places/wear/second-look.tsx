'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { MOST_NAME_LETTERS } from '@/core/run/run-event';
import { ratingScales, type Ratings } from '@/core/wear/rating-scales';
import { useAction } from '@/ui/hooks/use-action';
import { saveSecondLook } from './actions';
import { ScaleRow } from './scale-row';
import styles from './second-look.module.css';

/**
 * A second pair of eyes on a day that is rated: what the first said stays hidden, so that two people can be told how far
 * they lie apart.
 */
export function SecondLook({
  setId,
  date,
  skin,
  hair,
}: {
  readonly setId: string;
  readonly date: string;
  readonly skin: string;
  readonly hair: string;
}) {
  const [isOpen, setOpen] = useState(false);
  const [by, setBy] = useState('');
  const [ratings, setRatings] = useState<Ratings>({});
  const [kept, setKept] = useState<string | null>(null);
  const { run, isBusy, problem } = useAction();
  const close = () => {
    setOpen(false);
    setRatings({});
  };
  return (
    <div className={styles.second}>
      <Button variant="outlined" onClick={() => setOpen(true)}>
        Someone else rates this day too
      </Button>
      {kept && <span role="status">{kept}’s look is kept.</span>}
      {isOpen && (
        <Dialog open onClose={close} maxWidth="md" fullWidth aria-labelledby="second-title">
          <DialogTitle id="second-title">A second look</DialogTitle>
          <div className={styles.body}>
            <p>In daylight, at arm’s length, from the same spot, before anybody touches it.</p>
            <TextField
              label="Who rates"
              value={by}
              onChange={(event) => setBy(event.target.value.slice(0, MOST_NAME_LETTERS))}
            />
            {ratingScales.map((scale) => (
              <ScaleRow
                key={scale.id}
                scale={scale}
                skin={skin}
                hair={hair}
                sides={[
                  {
                    side: null,
                    value: ratings[scale.id] ?? null,
                    pale: null,
                    yesterday: null,
                    said: null,
                    onChange: (value) => setRatings((before) => ({ ...before, [scale.id]: value })),
                  },
                ]}
              />
            ))}
            {problem}
          </div>
          <DialogActions>
            <Button onClick={close}>Leave it</Button>
            <Button
              variant="contained"
              disabled={isBusy || by.trim() === '' || Object.keys(ratings).length === 0}
              onClick={() =>
                run(
                  () => saveSecondLook({ setId, date, by, ratings }),
                  () => {
                    setKept(by.trim());
                    close();
                  },
                )
              }
            >
              Keep this look
            </Button>
          </DialogActions>
        </Dialog>
      )}
    </div>
  );
}
