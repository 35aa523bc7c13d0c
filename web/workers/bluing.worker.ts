import { readBluingPicture, type Circle } from '@dusk-wren/core/analysis';
import { expose } from 'comlink';

const MOST_PIXELS = 16_000_000;
let picture: ImageData | undefined;

async function decoded(file: Blob): Promise<ImageData> {
  const bitmap = await createImageBitmap(file);
  const scale = Math.min(1, Math.sqrt(MOST_PIXELS / (bitmap.width * bitmap.height)));
  const canvas = new OffscreenCanvas(Math.round(bitmap.width * scale), Math.round(bitmap.height * scale));
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('this browser gives no canvas to a worker');
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return context.getImageData(0, 0, canvas.width, canvas.height);
}

/** Decodes and reads photographs of blued seats beside the page. */
const bluingReader = {
  /** Takes a picture in; false when the file is no picture this browser can read. */
  open: async (file: Blob) => {
    picture = await decoded(file).catch(() => undefined);
    return picture !== undefined && { width: picture.width, height: picture.height };
  },
  /** Reads the picture, near a circle drawn by hand when there is one. */
  read: (near?: Circle) => (picture ? readBluingPicture(picture, near) : undefined),
};

export type BluingReader = typeof bluingReader;
expose(bluingReader);
