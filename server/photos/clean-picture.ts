import pLimit from 'p-limit';
import sharp from 'sharp';
import { Refusal } from '../refusal';

/** A camera's largest, and the longest side that is kept: enough to see a pit, small enough to send about. */
const MOST_PIXELS = 40_000_000;
const LONGEST_SIDE = 1600;
const FORMATS: readonly string[] = ['jpeg', 'png', 'webp'];

// A large picture unpacks to hundreds of megabytes: two at a time, one core each, nothing kept after.
sharp.cache(false);
sharp.concurrency(1);
const inTurn = pLimit(2);

export interface CleanPicture {
  readonly body: Buffer;
  readonly width: number;
  readonly height: number;
}

/**
 * A picture as it may be kept: decoded and written again as JPEG, turned upright, without place, camera or anything else
 * that was hidden in it. What is no PNG, JPEG or WebP by its own bytes, is broken, or would unpack to more than 40
 * megapixels is refused.
 */
export function cleanPicture(raw: Buffer): Promise<CleanPicture> {
  return inTurn(() => clean(raw));
}

async function clean(raw: Buffer): Promise<CleanPicture> {
  const refused = (why: string) => new Refusal({ code: 'photo.unreadable', why });
  const picture = sharp(raw, { limitInputPixels: MOST_PIXELS, failOn: 'error', pages: 1 });
  const { format } = await picture.metadata().catch(() => {
    throw refused('it is no picture, or a broken one, or larger than 40 megapixels');
  });
  if (!FORMATS.includes(format)) throw refused('only PNG, JPEG and WebP are taken');
  try {
    const { data, info } = await picture
      .rotate()
      .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 82 })
      .toBuffer({ resolveWithObject: true });
    return { body: data, width: info.width, height: info.height };
  } catch {
    throw refused('it is broken, or larger than 40 megapixels');
  }
}

/** A picture that was kept before, somewhere, as it was: byte by byte; one that was not is made so first. */
export async function asKept(raw: Buffer): Promise<CleanPicture> {
  const { format, width, height, exif, iptc, xmp, icc } = await sharp(raw, { limitInputPixels: MOST_PIXELS })
    .metadata()
    .catch(() => ({ format: 'none', width: 0, height: 0, exif: raw, iptc: raw, xmp: raw, icc: raw }));
  const isPlain = [exif, iptc, xmp, icc].every((hidden) => hidden === undefined);
  if (format !== 'jpeg' || !isPlain || Math.max(width, height) > LONGEST_SIDE) return cleanPicture(raw);
  // Decoded once: a broken one is refused here and not where it is looked at.
  const clean = await cleanPicture(raw);
  return clean.width === width && clean.height === height ? { body: raw, width, height } : clean;
}
