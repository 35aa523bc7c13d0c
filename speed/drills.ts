import {
  ALL_DRILLS,
  constructionsFor,
  DRILLS,
  exerciseOf,
  readTheRing,
  ticketFor,
} from '@dusk-wren/core/drill';
import { must } from '@dusk-wren/core/problem';
import { photographBluedSeat } from '@dusk-wren/core/simulation';
import { timed } from './timed';

/** Exercises of every kind on every construction, a fresh seed each. */
let seed = 1;
for (const { id, title } of ALL_DRILLS) {
  const on = constructionsFor(id);
  timed(`“${title}” made`, 50, () => DRILLS[id].sit(ticketFor(id, 3, ++seed, on[seed % on.length])));
}
timed(
  'A blued seat painted',
  300,
  () => photographBluedSeat(must(exerciseOf(readTheRing, ticketFor('read-the-ring', 3, ++seed))).scene),
  15,
);
