'use client';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Link from '@/ui/shell/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { shelfKindLabel } from '@/core/products/shelf-kind';
import { batchParts } from '@/core/shelf/mix';
import { plural } from '@/core/words/words';
import { formatCalendarDay, formatMass } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { makeBatch } from './actions';
import type { Mix, Product } from './shelf-types';
import styles from './shelf-page.module.css';

/** A mix: its parts, what a batch takes, and the batch that stands on the shelf. */
export function MixCard({
  mix,
  products,
  made,
  today,
}: {
  mix: Mix;
  products: readonly Product[];
  made: Product | null;
  today: string;
}) {
  const router = useRouter();
  const { units, clock } = useUnits();
  const [batch, setBatch] = useState(String(mix.batchG));
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const grams = Number(batch.replace(',', '.'));
  const name = (id: string) => products.find((product) => product.id === id)?.name ?? 'something gone';
  const isPast = made !== null && made.useBy !== null && made.useBy < today;
  const make = async () => {
    setBusy(true);
    setProblem(null);
    try {
      const answer = await makeBatch({ mixId: mix.id, batchG: batch });
      if (answer.ok) router.refresh();
      else setProblem(answer.errors[0]?.message ?? null);
    } catch {
      setProblem('No connection; try again');
    }
    setBusy(false);
  };
  return (
    <article className={styles.mix}>
      <h3>
        <Link href={`/shelf/mixes/${mix.id}`}>{mix.name}</Link>
        <small>{shelfKindLabel(mix.role).toLowerCase()}</small>
      </h3>
      <p>
        {mix.parts.map(({ productId, parts }) => `${plural(parts, 'part')} ${name(productId)}`).join(', ')};
        keeps {plural(mix.keepsDays, 'day')}
      </p>
      {made?.useBy && (
        <p data-short={isPast}>
          {isPast
            ? `The batch of ${formatCalendarDay(made.openedOn ?? made.useBy, clock)} is past its day: throw it away.`
            : `A batch stands there, good until ${formatCalendarDay(made.useBy, clock)}.`}
        </p>
      )}
      <div className={styles.batch}>
        <TextField
          label="Batch, g"
          value={batch}
          onChange={(event) => setBatch(event.target.value)}
          slotProps={{ htmlInput: { inputMode: 'decimal' } }}
        />
        <Button variant="outlined" disabled={busy} onClick={() => void make()}>
          Make a batch
        </Button>
      </div>
      {grams > 0 && (
        <p>
          {batchParts(mix.parts, grams)
            .map((part) => `${formatMass(part.grams, units)} ${name(part.productId)}`)
            .join(', ')}
        </p>
      )}
      {problem && (
        <p role="alert" data-short="true">
          {problem}.
        </p>
      )}
    </article>
  );
}
