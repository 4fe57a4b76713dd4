'use client';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { keepChairSettings, useChairSettings } from './chair-settings';
import { KeptHere } from './kept-here';
import { ChairDialog } from './chair-dialog';
import styles from './chair.module.css';

const CHOICES: readonly { readonly id: 'isLeftHanded' | 'isBig' | 'hasTone'; readonly label: string }[] = [
  { id: 'isLeftHanded', label: 'For the left hand' },
  { id: 'isBig', label: 'Bigger type' },
  { id: 'hasTone', label: 'A short tone when hair wants misting, or a step is up' },
];

/** How the chair is shown on this device. */
export function LayoutDialog({ onClose }: { readonly onClose: () => void }) {
  const settings = useChairSettings();
  return (
    <ChairDialog open title="On this device" onClose={onClose}>
      <div className={styles.switches}>
        {CHOICES.map(({ id, label }) => (
          <FormControlLabel
            key={id}
            control={
              <Switch
                checked={settings[id]}
                onChange={(_, isOn) => keepChairSettings({ ...settings, [id]: isOn })}
              />
            }
            label={label}
          />
        ))}
      </div>
      <KeptHere />
    </ChairDialog>
  );
}
