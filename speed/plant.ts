import { plantOf } from '@dusk-wren/core/simulation';
import { defaultValve } from '@dusk-wren/core/valve';
import { timed } from './timed';

const SECONDS = 60;
/** Times as fast as the clock. */
const WANTED = 50;
for (const id of ['control-globe-double-seat', 'control-ball-in-venturi'] as const) {
  const plant = plantOf(defaultValve(id), undefined);
  const took = timed(
    `A minute of a simulated ${id}, stroked all the while`,
    (SECONDS * 1000) / WANTED,
    () => {
      for (let i = 0; i < SECONDS; i++) {
        plant.signal = (i % 11) / 10;
        plant.run(1);
      }
    },
    5,
  );
  console.log(`  ${Math.round((SECONDS * 1000) / took)} times as fast as the clock`);
}
