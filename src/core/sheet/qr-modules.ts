import qrcode from 'qrcode-generator';

/**
 * The modules of a QR code, true where dark (ISO/IEC 18004).
 *
 * @param level how much of it can be restored: a quarter on paper; on a screen, which takes no dirt, less and larger modules
 */
export function qrModules(text: string, level: 'L' | 'Q' = 'Q'): boolean[][] {
  const code = qrcode(0, level);
  code.addData(text);
  code.make();
  const size = code.getModuleCount();
  return Array.from({ length: size }, (_, y) => Array.from({ length: size }, (_, x) => code.isDark(y, x)));
}
