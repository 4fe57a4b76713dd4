import { joinedParts, readPart, type CodePart } from '@/core/take-home/diary-code';

/** Parts of a diary as cameras and pictures give them, until all are there. */
export class CodeReader {
  private parts: CodePart[] = [];

  /** Parts that are still missing; null before the first. */
  get missing(): number | null {
    const first = this.parts[0];
    return first ? first.count - this.parts.length : null;
  }

  /** Takes in what was read. @returns the whole text once it is there */
  take(text: string): string | null {
    const part = readPart(text);
    if (!part) return null;
    // Another diary in front of the camera begins anew.
    if (this.parts[0] && this.parts[0].of !== part.of) this.parts = [];
    if (!this.parts.some(({ number }) => number === part.number)) this.parts.push(part);
    return joinedParts(this.parts);
  }
}

/** Longest side that a picture is looked through with, px. */
const LOOKED_AT_PX = 1400;

/** The code in a picture or in what a camera sees; null where there is none. */
export async function codeInPicture(
  source: CanvasImageSource,
  width: number,
  height: number,
): Promise<string | null> {
  const { default: jsQR } = await import('jsqr');
  const scale = Math.min(1, LOOKED_AT_PX / Math.max(width, height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(width * scale);
  canvas.height = Math.round(height * scale);
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(source, 0, 0, canvas.width, canvas.height);
  const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
  return jsQR(data, canvas.width, canvas.height)?.data ?? null;
}
