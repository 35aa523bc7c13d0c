import { photographBluedSeat, type BluedSeatScene } from '@dusk-wren/core/simulation';
import { expose } from 'comlink';

/** Paints photographs of blued seats beside the page. */
const seatPainter = {
  paint: (scene: BluedSeatScene) => photographBluedSeat(scene),
};

export type SeatPainter = typeof seatPainter;
expose(seatPainter);
