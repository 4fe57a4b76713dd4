import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import Link from '@/ui/shell/link';
import type { ReactNode } from 'react';
import type { Corrections } from '@/core/brief/learnt';
import { correctedWords } from '@/core/explain/corrected-words';
import type { PlanFile } from '@/core/formats/plan-file';
import { plural } from '@/core/words/words';
import { learntSentences } from '@/ui/known/known-of-her';
import styles from './known-of-her.module.css';

/** What a forecast takes from this head's own sets; opened, every figure of it beside that of most heads. */
export function KnownOfHer({
  plan,
  isUnknown = false,
  children,
}: {
  readonly plan: PlanFile;
  readonly isUnknown?: boolean;
  readonly children?: ReactNode;
}) {
  const [first, ...others] = learntSentences(plan);
  return (
    <details className={styles.known}>
      <summary>
        {isUnknown
          ? 'Forecast as for any head; what is known of her is left out'
          : (first?.text ?? 'Known of her: much as most heads')}
        {others.length > 0 && <small> and {plural(others.length, 'more thing')}</small>}
      </summary>
      {first && <p>{first.onMost}</p>}
      {others.map(({ topic, text, onMost }) => (
        <p key={topic}>
          <b>{text}</b>
          <br />
          {onMost}
        </p>
      ))}
      {children}
    </details>
  );
}

/** The same with the switch that leaves it out. */
export function AsIfUnknown({
  plan,
  isUnknown,
  onChange,
}: {
  readonly plan: PlanFile;
  readonly isUnknown: boolean;
  readonly onChange: (isUnknown: boolean) => void;
}) {
  return (
    <KnownOfHer plan={plan} isUnknown={isUnknown}>
      <FormControlLabel
        className={styles.switch!}
        control={<Switch size="small" checked={isUnknown} onChange={(_, checked) => onChange(checked)} />}
        label="As if I did not know her"
      />
    </KnownOfHer>
  );
}

/** What figures of a plan are put right by, from the studio's own log. */
export function PutRightBy({ corrections }: { readonly corrections: Corrections }) {
  return (
    <details className={styles.known}>
      <summary>Put right by how your own sets came out</summary>
      {correctedWords(corrections).map((words) => (
        <p key={words}>{words}.</p>
      ))}
      <p>
        <Link href="/findings">See what it rests on, or take it back</Link>
      </p>
    </details>
  );
}
