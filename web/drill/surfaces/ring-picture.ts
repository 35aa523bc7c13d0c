import type { BluedSeatScene } from '@dusk-wren/core/simulation';
import { wrap } from 'comlink';
import type { SeatPainter } from '../../workers/seat-picture.worker';

/** Paints a photograph of a blued seat beside the page. */
export async function paintedSeat(scene: BluedSeatScene): Promise<ImageData> {
  const worker = new Worker(new URL('../../workers/seat-picture.worker.ts', import.meta.url), {
    type: 'module',
  });
  try {
    const { width, height, data } = await wrap<SeatPainter>(worker).paint(scene);
    return new ImageData(new Uint8ClampedArray(data), width, height);
  } finally {
    worker.terminate();
  }
}
