import { DataTexture, LinearFilter, LinearMipmapLinearFilter, RepeatWrapping, RGBAFormat } from 'three';
import { seededRng } from '@/core/random/rng';

const [LONG, ACROSS] = [256, 128] as const;

/** Noise that is long along the hair and short across it: single strands within a lock. */
export function strandPicture(): DataTexture {
  const data = new Uint8Array(LONG * ACROSS * 4);
  for (let channel = 0; channel < 3; channel++) {
    for (let y = 0; y < ACROSS; y++) {
      const chance = seededRng(71 + channel, y);
      const waves = Array.from(
        { length: 4 },
        () => [1 + Math.floor(3 * chance()), 6.283 * chance()] as const,
      );
      const base = chance();
      for (let x = 0; x < LONG; x++) {
        const slow = waves.reduce((sum, [k, phase]) => sum + Math.sin((6.283 * k * x) / LONG + phase), 0) / 8;
        data[4 * (y * LONG + x) + channel] = 255 * Math.min(1, Math.max(0, base + 0.6 * slow));
      }
    }
  }
  const texture = new DataTexture(data, LONG, ACROSS, RGBAFormat);
  texture.wrapS = RepeatWrapping;
  texture.wrapT = RepeatWrapping;
  texture.magFilter = LinearFilter;
  texture.minFilter = LinearMipmapLinearFilter;
  texture.generateMipmaps = true;
  texture.needsUpdate = true;
  return texture;
}
