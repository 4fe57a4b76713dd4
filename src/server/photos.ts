import exifr from 'exifr';
import { imageSize } from 'image-size';
import sharp, { type OutputInfo } from 'sharp';
import { MOST_PHOTO_BYTES } from '@/core/diary/photo';
import { AppError, invalid } from './errors';
import { readBody } from './route';

/** Largest picture that is unpacked, pixels, and its longest side. */
const MOST_PIXELS = 40e6;
const LONGEST_SIDE = 12_000;
/** What is kept of it: its longest side, px, and how much it may weigh, bytes. */
const KEPT_SIDE = 1600;
const MOST_KEPT_BYTES = 400 * 1024;
/** Tried one after the other until it is light enough. */
const ENCODINGS = [
  [KEPT_SIDE, 88],
  [KEPT_SIDE, 80],
  [KEPT_SIDE, 70],
  [1280, 70],
  [1024, 60],
] as const;
const THUMB_SIDE = 240;

/** A picture as it is kept. */
export interface EncodedPhoto {
  readonly jpeg: Buffer;
  readonly thumb: Buffer;
  readonly width: number;
  readonly height: number;
  /** Focal length as of film 36 mm wide, where it told it. */
  readonly focal35Mm: number | null;
}

const READ_TYPES = ['jpg', 'png', 'webp', 'avif', 'gif', 'tiff'];
const HEIC_BRANDS = ['heic', 'heix', 'mif1', 'hevc', 'msf1'];

/** Width and height by its header alone, so that nothing huge is unpacked. */
function sizeOf(bytes: Buffer): { readonly width: number; readonly height: number } {
  if (
    bytes.subarray(4, 8).toString('latin1') === 'ftyp' &&
    HEIC_BRANDS.includes(bytes.subarray(8, 12).toString('latin1'))
  )
    throw invalid(
      'photo',
      'this phone keeps pictures as HEIC, which cannot be read here: set its camera to “most compatible”, or send a JPEG',
    );
  const read = headerOf(bytes);
  // Drawings are programs: only pixels are taken.
  if (!read?.type || !READ_TYPES.includes(read.type))
    throw invalid('photo', 'this is not a picture that can be read; send a JPEG, PNG or WebP');
  return { width: read.width, height: read.height };
}

function headerOf(bytes: Buffer) {
  try {
    return imageSize(bytes);
  } catch {
    return null;
  }
}

/** Focal lengths of anything that takes pictures of people, mm. */
const FOCAL_MM = { low: 8, high: 400 } as const;

/** The one thing of its file that is kept: how far apart things look. */
async function focalOf(bytes: Buffer): Promise<number | null> {
  try {
    const told = (await exifr.parse(bytes, ['FocalLengthIn35mmFormat'])) as
      { FocalLengthIn35mmFormat?: unknown } | undefined;
    const mm = told?.FocalLengthIn35mmFormat;
    return typeof mm === 'number' && mm >= FOCAL_MM.low && mm <= FOCAL_MM.high ? mm : null;
  } catch {
    return null;
  }
}

/**
 * A picture that was sent, as it is kept: turned upright, small enough, and without anything that its file said of
 * place, device or owner.
 *
 * @throws AppError too-large, or invalid for what is no picture, is damaged or too large to unpack
 */
export async function encodePhoto(request: Request): Promise<EncodedPhoto> {
  const bytes = await readBody(request, MOST_PHOTO_BYTES, [
    { path: 'photo', message: `a picture may weigh at most ${MOST_PHOTO_BYTES / 1024 / 1024} MB` },
  ]);
  if (bytes.byteLength === 0) throw invalid('photo', 'no picture was sent');
  const { width, height } = sizeOf(bytes);
  if (width * height > MOST_PIXELS || Math.max(width, height) > LONGEST_SIDE)
    throw invalid(
      'photo',
      `this picture is ${width} × ${height} pixels; at most ${MOST_PIXELS / 1e6} million, and ${LONGEST_SIDE} a side`,
    );
  try {
    const upright = () =>
      sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
        .autoOrient()
        .flatten({ background: '#fff' });
    let kept: { data: Buffer; info: OutputInfo } | null = null;
    for (const [side, quality] of ENCODINGS) {
      kept = await upright()
        .resize({ width: side, height: side, fit: 'inside', withoutEnlargement: true })
        .jpeg({ quality, mozjpeg: true })
        .toBuffer({ resolveWithObject: true });
      if (kept.data.byteLength <= MOST_KEPT_BYTES) break;
    }
    const thumb = await sharp(kept!.data)
      .resize({ width: THUMB_SIDE, height: THUMB_SIDE, fit: 'cover', position: 'attention' })
      .jpeg({ quality: 76 })
      .toBuffer();
    return {
      jpeg: kept!.data,
      thumb,
      width: kept!.info.width,
      height: kept!.info.height,
      focal35Mm: await focalOf(bytes),
    };
  } catch (thrown) {
    if (thrown instanceof AppError) throw thrown;
    throw invalid('photo', 'this picture is damaged: take it again, or send another file of it');
  }
}
