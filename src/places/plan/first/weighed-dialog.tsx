'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { WANT_LABEL } from '@/core/coefficients/wants';
import type { Option } from '@/core/suggest/option';
import { SCORE_PARTS, type ScorePartId } from '@/core/suggest/score';
import { capitalised } from '@/core/words/words';
import { formatSigned } from '@/ui/format';
import styles from './first-draft.module.css';

/** What each part of a score stands for. */
const PART_LABEL: Readonly<Record<ScorePartId, string>> = {
  ...WANT_LABEL,
  suit: 'suits this hair',
  sure: 'sure to be dry',
  frizz: 'frizz',
  overtime: 'more work than there is strength for',
  'to-buy': 'something to buy',
  short: 'product that runs short',
  sitting: 'sitting under the dryer',
  pieces: 'too few pieces to cover',
  straight: 'hangs straight',
  warned: 'a caution warns',
};

/** The score of every option, opened: what was weighed, and what it came to. */
export function WeighedDialog({ options, onClose }: { options: readonly Option[]; onClose: () => void }) {
  const shown = SCORE_PARTS.filter((id) =>
    options.some(({ scoreParts }) => Math.abs(scoreParts[id]) >= 0.005),
  );
  return (
    <Dialog open onClose={onClose} maxWidth="lg" aria-labelledby="weighed-title">
      <DialogTitle id="weighed-title">How each was weighed</DialogTitle>
      <DialogContent>
        <p>
          What you asked for weighs most; the rest by what is usual. Each part adds to the score of its
          column, the highest is the draft. Rules of what suits which hair are common practice, the figures
          are those of the forecast.
        </p>
        <div className={styles.scroll}>
          <table className={styles.weighed}>
            <thead>
              <tr>
                <th scope="col">part</th>
                {options.map(({ title }) => (
                  <th key={title} scope="col">
                    {title}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {shown.map((id) => (
                <tr key={id}>
                  <th scope="row">{capitalised(PART_LABEL[id])}</th>
                  {options.map(({ title, scoreParts }) => (
                    <td key={title}>{formatSigned(scoreParts[id], 2)}</td>
                  ))}
                </tr>
              ))}
            </tbody>
            <tfoot>
              <tr>
                <th scope="row">Together</th>
                {options.map(({ title, score }) => (
                  <td key={title}>{formatSigned(score, 2)}</td>
                ))}
              </tr>
            </tfoot>
          </table>
        </div>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
