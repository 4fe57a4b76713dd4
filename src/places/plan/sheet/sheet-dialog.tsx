'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useState } from 'react';
import { PAPERS, type PaperId } from '@/core/sheet/mark';
import { ChoiceList } from '@/ui/fields/choice-list';
import { ClientLinks } from './client-links';
import styles from './sheet-dialog.module.css';

const PAPER_IDS = Object.keys(PAPERS) as PaperId[];

/** The plan on one page, to print or to keep, and as files to open elsewhere. */
export function SheetDialog({ planId, onClose }: { planId: string; onClose: () => void }) {
  const [paper, setPaper] = useState<PaperId>('a4');
  const [drawn, setDrawn] = useState<{ readonly paper: PaperId; readonly isFine: boolean } | null>(null);
  const isDrawn = drawn?.paper === paper;
  const href = (file: string) => `/plan/${planId}/sheet/${file}`;
  return (
    <Dialog open onClose={onClose} aria-labelledby="sheet-title" maxWidth="md" fullWidth>
      <div className={styles.dialog}>
        <div className={styles.side}>
          <h2 id="sheet-title">Plan sheet</h2>
          <p>One page for the chair: the map, the order, the doses, the times. Prints in black and white.</p>
          <ChoiceList
            inline
            legend="Paper"
            value={paper}
            choices={PAPER_IDS.map((value) => ({ value, label: PAPERS[value].label }))}
            onChange={setPaper}
          />
          <Button variant="contained" component="a" href={href(`${paper}.pdf`)} target="_blank">
            Print or keep the PDF
          </Button>
          <Button variant="outlined" component="a" href={href(`${paper}.svg`)} download>
            Keep it as SVG
          </Button>
          <h3>To open elsewhere</h3>
          <Button component="a" href={href('brief.json')} download>
            Brief, JSON
          </Button>
          <Button component="a" href={href('plan.json')} download>
            Brief and forecast, JSON
          </Button>
          <p>Either can be opened again under Plan.</p>
          <ClientLinks planId={planId} />
          <Button onClick={onClose}>Leave</Button>
        </div>
        <div className={styles.preview}>
          {!isDrawn && <p role="status">Drawing the sheet…</p>}
          {isDrawn && !drawn.isFine && (
            <p role="alert">
              The sheet could not be drawn. Is the program still running? Close this and try again.
            </p>
          )}
          {/* eslint-disable-next-line @next/next/no-img-element -- made for this plan, never cached or resized */}
          <img
            src={href(`${paper}.svg`)}
            alt="The sheet as it prints"
            onLoad={() => setDrawn({ paper, isFine: true })}
            onError={() => setDrawn({ paper, isFine: false })}
          />
        </div>
      </div>
    </Dialog>
  );
}
