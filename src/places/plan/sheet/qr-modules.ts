import qrcode from 'qrcode-generator';

/** The modules of a QR code, true where dark, with a quarter of them restorable (ISO/IEC 18004, level Q). */
export function qrModules(text: string): boolean[][] {
  const code = qrcode(0, 'Q');
  code.addData(text);
  code.make();
  const size = code.getModuleCount();
  return Array.from({ length: size }, (_, y) => Array.from({ length: size }, (_, x) => code.isDark(y, x)));
}
