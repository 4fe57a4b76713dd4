import { qrModules } from '@/core/sheet/qr-modules';
import styles from './qr-code.module.css';

/** Light around a code, in modules (ISO/IEC 18004). */
const QUIET = 4;

/** A picture of squares that a phone reads, dark on light whatever the look of the page. */
export function QrCode({ text, label }: { text: string; label: string }) {
  const modules = qrModules(text, 'L');
  const size = modules.length + 2 * QUIET;
  const path = modules
    .flatMap((row, y) => row.flatMap((isDark, x) => (isDark ? [`M${x + QUIET} ${y + QUIET}h1v1h-1z`] : [])))
    .join('');
  return (
    <svg className={styles.code} viewBox={`0 0 ${size} ${size}`} role="img" aria-label={label}>
      <rect width={size} height={size} fill="#fff" />
      <path d={path} fill="#000" shapeRendering="crispEdges" />
    </svg>
  );
}
