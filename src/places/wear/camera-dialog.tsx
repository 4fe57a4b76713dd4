'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogTitle from '@mui/material/DialogTitle';
import { useCamera } from './use-camera';
import styles from './photos.module.css';

const QUALITY = 0.92;

/** The camera, with the last picture of the same view pale over it, so that both are taken from one place. */
export function CameraDialog({
  view,
  ghost,
  onTake,
  onClose,
}: {
  readonly view: string;
  /** Address of the last picture of this view; null for the first. */
  readonly ghost: string | null;
  readonly onTake: (picture: Blob) => void;
  readonly onClose: () => void;
}) {
  const { video, isReady, problem } = useCamera('choose a file');
  const take = () => {
    const seen = video.current;
    if (!seen) return;
    const canvas = document.createElement('canvas');
    canvas.width = seen.videoWidth;
    canvas.height = seen.videoHeight;
    canvas.getContext('2d')?.drawImage(seen, 0, 0);
    canvas.toBlob((blob) => blob && onTake(blob), 'image/jpeg', QUALITY);
  };
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth>
      <DialogTitle>{view}</DialogTitle>
      <div className={styles.camera}>
        <video ref={video} muted playsInline aria-label="What the camera sees" />
        {ghost && (
          // eslint-disable-next-line @next/next/no-img-element -- of this studio alone, never through a cache
          <img src={ghost} alt="The last picture of this view, pale over it" />
        )}
        {problem && <p role="alert">{problem}</p>}
      </div>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button variant="contained" disabled={!isReady} onClick={take}>
          Take it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
