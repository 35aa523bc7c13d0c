export { type Picture } from './blueness';
export { type Circle } from './find-ring';
export { readBluingPicture, WIDTHS, type BluingPicture, type RingArc } from './read-picture';
