export { type RingArc } from './arcs';
export { type Picture } from './blueness';
export { type Circle, type SeatRing } from './ring';
export { readBluingPicture, type BluingDoubt, type BluingPicture } from './read-picture';
export { WIDTHS } from './unwrap';
