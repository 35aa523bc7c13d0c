import { expose } from 'comlink';

const LONGEST_SIDE = 1600;
const QUALITY = 0.82;

/** A photograph made small enough to send, and without what the camera hid in it: only its pixels go on. */
async function shrink(file: Blob): Promise<Blob> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const scale = Math.min(1, LONGEST_SIDE / Math.max(picture.width, picture.height));
  const canvas = new OffscreenCanvas(Math.round(picture.width * scale), Math.round(picture.height * scale));
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
}

export type Shrink = typeof shrink;
expose(shrink);
