import { HONESTLY } from '@/core/round/facts';

const [WIDTH, HEIGHT, FOOT] = [1280, 800, 92] as const;
const INK = '#2b1a14';

/** Breaks words into lines that fit. */
function lines(pen: CanvasRenderingContext2D, words: string, widthPx: number): string[] {
  return words.split(' ').reduce<string[]>(
    (all, word) => {
      const last = all.at(-1)!;
      const longer = last === '' ? word : `${last} ${word}`;
      return pen.measureText(longer).width <= widthPx || last === ''
        ? [...all.slice(0, -1), longer]
        : [...all, word];
    },
    [''],
  );
}

/** One picture of what is shown, with its ruler and its words, and nothing else: heads side by side. */
export async function keptPicture(
  shown: readonly { readonly canvas: HTMLCanvasElement; readonly words: string }[],
): Promise<Blob | null> {
  const canvas = document.createElement('canvas');
  canvas.width = WIDTH;
  canvas.height = HEIGHT;
  const pen = canvas.getContext('2d')!;
  const tall = HEIGHT - FOOT;
  const light = pen.createRadialGradient(WIDTH / 2, tall * 0.42, 40, WIDTH / 2, tall * 0.42, WIDTH * 0.6);
  light.addColorStop(0, '#f3ecdf');
  light.addColorStop(0.62, '#e3d7c3');
  light.addColorStop(1, '#cdbfa6');
  pen.fillStyle = light;
  pen.fillRect(0, 0, WIDTH, tall);
  pen.fillStyle = '#fffaf0';
  pen.fillRect(0, tall, WIDTH, FOOT);
  const each = WIDTH / shown.length;
  shown.forEach(({ canvas: drawn, words }, i) => {
    const scale = Math.min(each / drawn.width, tall / drawn.height);
    const [wide, high] = [drawn.width * scale, drawn.height * scale];
    pen.drawImage(drawn, i * each + (each - wide) / 2, (tall - high) / 2, wide, high);
    pen.fillStyle = INK;
    pen.font = '17px "Atkinson Hyperlegible Next", sans-serif';
    lines(pen, words, each - 48)
      .slice(0, 3)
      .forEach((line, k) => pen.fillText(line, i * each + 24, tall + 26 + 21 * k));
  });
  pen.fillStyle = '#5f4a3e';
  pen.font = '14px "Atkinson Hyperlegible Next", sans-serif';
  pen.textAlign = 'right';
  pen.fillText(HONESTLY, WIDTH - 24, HEIGHT - 10);
  return new Promise((made) => canvas.toBlob(made, 'image/png'));
}

/** Hands a picture over as a file. */
export function handOver(picture: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(picture);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
