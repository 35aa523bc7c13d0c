import { readBluingPicture } from '@dusk-wren/core/analysis';
import { photographBluedSeat, USUAL_SCENE } from '@dusk-wren/core/simulation';
import { timed } from './timed';

const picture = photographBluedSeat({
  ...USUAL_SCENE,
  width: 4000,
  height: 3000,
  gaps: [{ from: 40, degrees: 5 }],
});
const read = timed(
  'Blued seat read from a picture of 12 megapixels',
  1000,
  () => readBluingPicture(picture),
  7,
);
const plain = timed(
  'The same picture, every byte added up',
  Infinity,
  () => {
    let sum = 0;
    for (const byte of picture.data) sum += byte;
    return sum;
  },
  7,
);
console.log(`  ratio to adding its bytes up: ${(read / plain).toFixed(2)}`);
