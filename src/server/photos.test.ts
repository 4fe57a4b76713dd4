import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { MOST_PHOTO_BYTES } from '@/core/diary/photo';
import { AppError } from './errors';
import { encodePhoto } from './photos';

const sent = (body: Uint8Array) =>
  new Request('http://127.0.0.1/', { method: 'POST', body: new Uint8Array(body) });
const refusal = (body: Uint8Array) =>
  encodePhoto(sent(body)).then(
    () => 'kept',
    (thrown: unknown) => (thrown instanceof AppError ? `${thrown.code}: ${thrown.message}` : String(thrown)),
  );
/** Noise does not pack: the heaviest picture there is. */
const noise = (width: number, height: number) =>
  sharp(
    Buffer.from(
      Uint8Array.from({ length: width * height * 3 }, (_, i) => (Math.imul(i, 2654435761) >>> 13) & 255),
    ),
    { raw: { width, height, channels: 3 } },
  );

describe('a picture that is sent', () => {
  it('is turned upright and kept without place, device or owner', async () => {
    const withPlace = await noise(800, 600)
      .withMetadata({ orientation: 6 })
      .withExif({
        IFD0: { Make: 'Some Phone', Artist: 'Somebody' },
        IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '38/1 42/1 0/1' },
      })
      .jpeg()
      .toBuffer();
    expect((await sharp(withPlace).metadata()).exif?.toString('latin1')).toContain('Some Phone');
    const { jpeg, thumb, width, height } = await encodePhoto(sent(withPlace));
    const kept = await sharp(jpeg).metadata();
    expect([kept.width, kept.height, kept.format]).toEqual([width, height, 'jpeg']);
    expect([width, height]).toEqual([600, 800]);
    expect([kept.exif, kept.iptc, kept.xmp, kept.icc, kept.orientation]).toEqual([
      undefined, undefined, undefined, undefined, undefined,
    ]); // prettier-ignore
    for (const bytes of [jpeg, thumb])
      expect(bytes.toString('latin1')).not.toMatch(/Some Phone|Somebody|GPS|Exif/);
    const small = await sharp(thumb).metadata();
    expect([small.width, small.height]).toEqual([240, 240]);
  });

  it('weighs 400 KiB at most, however much is on it, and is no larger than it was', async () => {
    const heavy = await noise(2400, 1800).png().toBuffer();
    const { jpeg, width, height } = await encodePhoto(sent(heavy));
    expect(jpeg.byteLength).toBeLessThanOrEqual(400 * 1024);
    expect(Math.max(width, height)).toBeLessThanOrEqual(1600);
    expect(width / height).toBeCloseTo(4 / 3, 2);
    const small = await encodePhoto(sent(await noise(90, 60).webp().toBuffer()));
    expect([small.width, small.height]).toEqual([90, 60]);
  });

  it('that cannot be kept is refused in words that say what to do', async () => {
    const jpeg = await noise(400, 300).jpeg().toBuffer();
    expect(await refusal(new Uint8Array())).toBe('invalid: no picture was sent');
    expect(await refusal(Buffer.from('<svg onload="x"></svg>'.repeat(9)))).toMatch(/^invalid: this/);
    expect(await refusal(Buffer.from('no picture at all, only words'))).toContain(
      'not a picture that can be read',
    );
    expect(await refusal(jpeg.subarray(0, jpeg.byteLength / 2))).toContain('damaged');
    const heic = Buffer.alloc(64);
    heic.write('ftypheic', 4, 'latin1');
    expect(await refusal(heic)).toContain('most compatible');
    // Small as a file, huge unpacked: refused by its header.
    const bomb = await sharp({ create: { width: 9000, height: 9000, channels: 3, background: '#000' } })
      .png()
      .toBuffer();
    expect(bomb.byteLength).toBeLessThan(400_000);
    expect(await refusal(bomb)).toContain('9000 × 9000 pixels; at most 40 million');
    expect(await refusal(new Uint8Array(MOST_PHOTO_BYTES + 1))).toContain(
      'too-large: a picture may weigh at most 15 MB',
    );
  });
});
