'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { keepChairSettings, useChairSettings, type ChairSettings } from './chair-settings';
import { KeptHere } from './kept-here';
import styles from './chair.module.css';

const CHOICES: readonly { readonly id: keyof ChairSettings; readonly label: string }[] = [
  { id: 'isLeftHanded', label: 'For the left hand' },
  { id: 'isBig', label: 'Bigger type' },
  { id: 'hasTone', label: 'A short tone when hair wants misting, or a step is up' },
];

/** How the chair is shown on this device. */
export function LayoutDialog({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }) {
  const settings = useChairSettings();
  return (
    <Dialog
      open={open}
      onClose={onClose}
      disablePortal
      fullWidth
      maxWidth="xs"
      aria-labelledby="layout-title"
    >
      <DialogTitle id="layout-title">On this device</DialogTitle>
      <DialogContent>
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
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose} autoFocus>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}
