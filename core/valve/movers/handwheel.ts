import type { Mover } from './mover';
import { jointOf } from '../joints';

/** A handwheel that winds the stem through its bushing. */
export const handwheel: Mover = {
  name: 'Handwheel',
  holds: ['wound stem'],
  stem: 'winds',
  parts: (_, all) => jointOf(all).wheel ?? ['wheel nut', 'handwheel'],
};
