'use client';
import TextField from '@mui/material/TextField';
import { MOST_NAME_LETTERS } from '@/core/run/run-event';
import type { Share } from '@/core/run/share';
import { ChoiceList } from '@/ui/fields/choice-list';
import { QrCode } from '@/ui/people/qr-code';
import { ChairDialog } from './chair-dialog';
import { keepChairSettings, useChairSettings } from './chair-settings';
import { HandsLine } from './hands-line';
import type { ChairViewProps } from './chair-set';
import styles from './chair.module.css';

const SHARE_CHOICES = [
  { value: 'all', label: 'In order, from the first' },
  { value: 'left', label: 'Client’s left first' },
  { value: 'right', label: 'Client’s right first' },
  { value: 'from-last', label: 'From the last back' },
] as const satisfies readonly { value: Share; label: string }[];

/** Two at one head: who is at this device, and where that hand works. */
export function HandsDialog({
  set: { phoneUrl },
  log,
  onClose,
}: Pick<ChairViewProps, 'set' | 'log'> & { readonly onClose: () => void }) {
  const settings = useChairSettings();
  return (
    <ChairDialog open title="Two at this head" onClose={onClose} maxWidth="sm" className={styles.handsDialog}>
      <p>
        Open this set on a second device. Each sees the other’s sections within a second, under a mark and a
        colour of their own.
      </p>
      {phoneUrl === null ? (
        <p>A phone or tablet can be that device once phones are let in: Studio, Phones and people.</p>
      ) : (
        <QrCode text={phoneUrl} label="Code that opens this set on a phone or tablet" />
      )}
      <HandsLine log={log} />
      <TextField
        label="Who works at this device"
        helperText="The same name on two devices is one hand."
        value={settings.ownName}
        onChange={(event) => keepChairSettings({ ...settings, ownName: event.target.value })}
        slotProps={{ htmlInput: { maxLength: MOST_NAME_LETTERS } }}
      />
      <ChoiceList
        legend="This hand takes"
        value={settings.share}
        choices={SHARE_CHOICES}
        onChange={(share) => keepChairSettings({ ...settings, share })}
      />
    </ChairDialog>
  );
}
