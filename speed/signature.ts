import Papa from 'papaparse';
import { answerFrom, readSignature } from '@dusk-wren/core/workings';
import { must } from '@dusk-wren/core/problem';
import { quantity } from '@dusk-wren/core/quantity';
import { recordStroke, strokeCsv, USUAL_RIG } from '@dusk-wren/core/simulation';
import { timed } from './timed';

const ROWS = 1_000_000;
const text = strokeCsv(recordStroke(USUAL_RIG, ROWS, 120));
const bytes = new TextEncoder().encode(text);
const analysed = timed(
  `Signature of ${ROWS} rows, parsed and analysed`,
  2000,
  () => answerFrom(must(readSignature({ bytes })), { area: quantity('area', 69, 'in²') }),
  5,
);
const FRAME = 16.7;
const stroke = new TextEncoder().encode(strokeCsv(recordStroke(USUAL_RIG, 4000, 60)));
timed('A stroke of 4000 samples, read and judged within a frame', FRAME, () =>
  answerFrom(must(readSignature({ bytes: stroke })), { area: quantity('area', 69, 'in²') }),
);
const plain = timed(
  'The same file through a plain CSV parser',
  Infinity,
  () => Papa.parse(text, { fastMode: true }),
  3,
);
console.log(`  ratio to the plain parse: ${(analysed / plain).toFixed(2)}`);
