import { z } from 'zod';
import {
  analyseSignature,
  mapColumns,
  readNumberTable,
  RECORDING_ROLES,
  strokeFrom,
  type BrokenRows,
  type NoSignature,
  type RecordingColumns,
  type Signature,
} from '../../analysis';
import { inConflict, ok, outOfRange, type Result } from '../../problem';
import {
  formatAs,
  formatNumber,
  fromSi,
  quantity,
  si,
  type Force,
  type GaugePressure,
  type Length,
  type Ratio,
  type Stiffness,
} from '../../quantity';
import { COMMON_PRACTICE, type Source } from '../../standards';
import { quantityField, recordingField } from '../frame/field';
import { line, sheetFor, shown, type Sheet } from '../frame/sheet';
import type { Step, Working, Worked } from '../frame/working';

const columnChoice = z.partialRecord(
  z.enum(RECORDING_ROLES),
  z.union([z.string().max(200), z.int().min(0).max(500)]),
);

const input = z.strictObject({
  recording: recordingField(columnChoice, { label: 'Stroke recording, CSV' }),
  area: quantityField('area', { label: 'Actuator area', example: '46 in²' }),
  travel: quantityField('length', {
    label: 'Rated travel',
    example: '5/8 in',
  }).exactOptional(),
});

export interface SignatureAnswer {
  friction: Force;
  /** Where it is much more than elsewhere, and how much there. */
  frictionWorst?: Force;
  frictionWorstAt?: Length;
  benchLow: GaugePressure;
  benchHigh: GaugePressure;
  springRate?: Stiffness;
  seatContact?: GaugePressure;
  seatLoad?: Force;
  hysteresis?: Ratio;
  deadBand?: Ratio;
  linearity?: Ratio;
  stickSlip: number;
  rows: number;
  brokenRows: number;
}

/** What a page draws beside the answer. */
export interface AnalysedRecording {
  readonly signature: Signature;
  readonly columns: RecordingColumns;
  readonly headers: readonly string[];
  readonly unused: readonly { readonly header: string; readonly why: string }[];
  readonly rows: number;
  readonly broken: BrokenRows;
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Valve signature: pressure against travel, both ways' };

/**
 * What a stroke recording says of an actuator and its valve: friction = half the loop's width × area; bench set from
 * the line between the strokes, friction removed; spring rate = its slope × area; seat contact where the slope turns;
 * seat load = |pressure at contact − pressure at the end| × area; dead band, hysteresis and linearity against the
 * signal; stick-slip where travel jumps, but for a command in steps. Columns in any order, by name and unit of the
 * header. `benchLow` is the lower pressure of the two. Rows out of order of time are sorted and single spikes put right,
 * and said so; with the rated travel an end that was not reached is reckoned along the line, and said.
 * Errors: no table, a role without a column, a stroke one way only, fewer than 50 rows, a travel that cannot be that of
 * the rated one (another unit). Broken rows are counted, not fatal.
 * Source: common practice. Example: a 69 in² actuator, 3 to 15 psi over 3/4 in → 1 104 lbf/in.
 */
export const signatureAnalyse: Working<typeof input, SignatureAnswer> = {
  id: 'signature.analyse',
  title: 'Signature of a stroke recording',
  asks: ['signature', 'recording', 'friction', 'bench set', 'stick slip', 'csv', 'seat load', 'diagnostics'],
  meaning: 'Friction, bench set, seat contact and stick-slip out of a recorded stroke there and back.',
  input,
  results: {
    friction: 'Friction',
    frictionWorst: 'Friction at the tightest place',
    frictionWorstAt: 'Tightest at',
    benchLow: 'Bench set, start',
    benchHigh: 'Bench set, end',
    springRate: 'Spring rate',
    seatContact: 'Meets the seat at',
    seatLoad: 'Seat load at the end',
    hysteresis: 'Hysteresis',
    deadBand: 'Dead band',
    linearity: 'Linearity, best line',
    stickSlip: 'Stick-slip jumps',
    rows: 'Rows read',
    brokenRows: 'Broken rows left out',
  },
  source: SOURCE,
  work: analyse,
};

type Given = z.output<typeof input>;

const NO_SIGNATURE: Readonly<Record<NoSignature, string>> = {
  'too short': 'The recording has too few rows for a stroke.',
  'no travel': 'The travel never changes in this recording.',
  'one way only': 'The recording shows one stroke only: it takes the way there and back.',
};

/** Reads a recording and analyses it: what the answer is made from, and what a page draws. */
export function readSignature(recording: Given['recording']): Result<AnalysedRecording> {
  const table = readNumberTable(recording.bytes);
  if (!table) return inConflict(['recording'], 'This is no CSV with a header line and rows of numbers.');
  const { columns, unused } = mapColumns(table.headers, recording.columns);
  const made = strokeFrom(table, columns);
  if ('missing' in made)
    return outOfRange(
      'recording',
      table.headers.join(', '),
      `a column for ${made.missing.join(' and ')} with its unit in the header`,
      'the signature is drawn from it',
    );
  const signature = analyseSignature(made.stroke);
  if (typeof signature === 'string')
    return inConflict(['recording'], `${NO_SIGNATURE[signature]} ${brokenWords(table.broken)}`.trim());
  return ok({ signature, columns, unused, headers: table.headers, rows: table.rows, broken: table.broken });
}

const brokenWords = ({ count, named }: BrokenRows): string =>
  count === 0
    ? ''
    : `${count} broken rows were left out, the first in line ${named[0]?.line ?? 0}: ${named[0]?.why ?? ''}.`;

function analyse(given: Given): Result<Worked<SignatureAnswer>> {
  const read = readSignature(given.recording);
  return read.ok ? answerFrom(read.value, given) : read;
}

/** The answer in units, once a recording has been read. */
export function answerFrom(
  read: AnalysedRecording,
  given: Pick<Given, 'area' | 'travel'>,
): Result<Worked<SignatureAnswer>> {
  const { signature, columns, rows, broken } = read;
  const isLength = columns.travel?.dimension === 'length';
  const metresPerTravel = isLength ? 1 : given.travel && si(given.travel);
  const travelled = (signature.open - signature.closed) * (metresPerTravel ?? 1);
  const rated = given.travel && si(given.travel);
  const ofRated = isLength && rated !== undefined ? travelled / rated : 1;
  if (ofRated > MOST_OF_RATED || ofRated < LEAST_OF_RATED)
    return inConflict(
      ['recording', 'travel'],
      `The recording has ${formatAs(fromSi('length', travelled, 'in'), 'in')} of travel, rated ${formatAs(fromSi('length', rated ?? 0, 'in'), 'in')}: is the unit in its header right?`,
    );
  const sheet = sheetFor(given.area);
  const area = si(given.area);
  const pressure = (pascals: number): GaugePressure => sheet.of('gauge pressure', pascals);
  const { closed, open } = endsOfStroke(signature, isLength ? rated : undefined, ofRated);
  const along = (at: number) => signature.mid.intercept + signature.mid.slope * at;
  const friction = sheet.of('force', signature.frictionPressure * area);
  const [first, last] = [along(closed), along(open)];
  const [benchLow, benchHigh] = [pressure(Math.min(first, last)), pressure(Math.max(first, last))];
  const rate =
    metresPerTravel === undefined
      ? undefined
      : sheet.of('stiffness', (Math.abs(signature.mid.slope) / metresPerTravel) * area);
  const span: Length | undefined =
    metresPerTravel === undefined ? undefined : sheet.of('length', (open - closed) * metresPerTravel);
  const stickSlip = signature.stickSlip ?? [];
  const tight = tightestAnswer(signature, area, sheet, metresPerTravel);
  const seat = seatAnswer(signature, area, sheet);
  const share = (value: number): Ratio => quantity('ratio', value * 100, '%');
  const { response } = signature;
  return ok({
    result: {
      friction,
      ...tight,
      benchLow,
      benchHigh,
      ...(rate ? { springRate: rate } : {}),
      ...seat.result,
      ...(response
        ? {
            hysteresis: share(response.hysteresis),
            deadBand: share(response.deadBand),
            linearity: share(response.linearity),
          }
        : {}),
      stickSlip: stickSlip.length,
      rows,
      brokenRows: broken.count,
    },
    steps: [
      line(
        'Friction',
        'half the width of the loop × area',
        `${shown(pressure(signature.frictionPressure))} × ${shown(given.area)}`,
        friction,
      ),
      line(
        'Bench set',
        'the line between the strokes, at both ends',
        span ? `over ${shown(span)}` : '',
        `${shown(benchLow)} to ${shown(benchHigh)}`,
      ),
      ...(rate ? [line('Spring rate', 'slope × area', '', rate)] : []),
      ...seat.steps,
      line('Stick-slip', 'travel jumps out of a standstill', '', `${stickSlip.length} jumps`),
      line('Rows', 'read, and broken ones left out', `${rows} read`, `${broken.count} left out`),
    ],
    notes: [
      ...(rate
        ? []
        : ['Give the rated travel to find the spring rate: this recording has travel in percent.']),
      ...(seat.steps.length === 0 ? ['The recording does not show the plug pressed on its seat.'] : []),
      ...careNotes(signature, ofRated),
      ...(tight.frictionWorst
        ? [
            `Tightest ${tight.frictionWorstAt ? `at ${shown(tight.frictionWorstAt)}` : 'in one place'}: ${shown(tight.frictionWorst)} of friction there.`,
          ]
        : []),
      ...(broken.count > 0 ? [brokenWords(broken)] : []),
      ...stickSlip
        .slice(0, 3)
        .map(
          ({ time, jump }) =>
            `Jump at ${formatNumber(time, 2)} s, ${formatNumber((Math.abs(jump) / (signature.open - signature.closed)) * 100, 1)} % of travel.`,
        ),
    ],
    source: SOURCE,
  });
}

/** More of the rated travel than this, or less, is another unit. */
const [MOST_OF_RATED, LEAST_OF_RATED] = [1.3, 0.1];
/** Less of the rated travel than this is an end that was not reached. */
const REACHED = 0.95;
/** A travel that comes back this far off, as a share of the span, is said. */
const DRIFTED = 0.01;

/** Both ends of the travel; one that was not reached is the rated travel away from the other. */
function endsOfStroke({ closed, open, seat, backstop }: Signature, rated: number | undefined, share: number) {
  if (rated === undefined || share >= REACHED) return { closed, open };
  return backstop && !seat ? { closed: open - rated, open } : { closed, open: closed + rated };
}

function tightestAnswer(
  { tightest, closed }: Signature,
  area: number,
  sheet: Sheet,
  metresPerTravel: number | undefined,
): Pick<SignatureAnswer, 'frictionWorst' | 'frictionWorstAt'> {
  if (!tightest) return {};
  return {
    frictionWorst: sheet.of('force', tightest.pressure * area),
    ...(metresPerTravel === undefined
      ? {}
      : { frictionWorstAt: sheet.of('length', (tightest.travel - closed) * metresPerTravel) }),
  };
}

/** What was done to the recording, and what it does not show. */
function careNotes(signature: Signature, ofRated: number): string[] {
  const { outOfOrder, clockRestarts, spikes, strokes, drift, response, backstop, stickSlip } = signature;
  return [
    ...(outOfOrder > 0 ? [`${outOfOrder} rows stood out of order: sorted by their time.`] : []),
    ...(clockRestarts > 0 ? ['The clock begins again in it: the parts are taken one after the other.'] : []),
    ...(spikes > 0 ? [`${spikes} single values far off their neighbours were put right.`] : []),
    ...(strokes > 2 ? [`${strokes} strokes are in it, read together.`] : []),
    ...(ofRated < REACHED
      ? [
          `Full travel was not reached, ${formatNumber(ofRated * 100, 0)} % of the rated: the other end of the bench set is reckoned along the line.`,
        ]
      : []),
    ...(!backstop && ofRated === 1
      ? [
          'It does not show the stop at the open end: with the rated travel it can be told whether that was reached.',
        ]
      : []),
    ...(drift !== undefined && Math.abs(drift) > DRIFTED
      ? [
          `It does not close: travel ends ${formatNumber(Math.abs(drift) * 100, 1)} % from where it began. Look at the travel sensor.`,
        ]
      : []),
    ...(stickSlip === undefined
      ? ['The command goes in steps: what jumps was told to; stick-slip shows on a slow ramp.']
      : []),
    ...(response === undefined ? ['Too few rows against the signal for hysteresis and dead band.'] : []),
  ];
}

function seatAnswer(
  { seat }: Signature,
  area: number,
  sheet: Sheet,
): { result: Pick<SignatureAnswer, 'seatContact' | 'seatLoad'>; steps: Step[] } {
  if (!seat) return { result: {}, steps: [] };
  const seatContact = sheet.of('gauge pressure', seat.contact);
  const seatLoad = sheet.of('force', Math.abs(seat.contact - seat.end) * area);
  return {
    result: { seatContact, seatLoad },
    steps: [
      line('Meets the seat', 'where the slope turns', '', seatContact),
      line(
        'Seat load',
        '|pressure at contact − pressure at the end| × area',
        `|${shown(seatContact)} − ${shown(sheet.of('gauge pressure', seat.end))}|`,
        seatLoad,
      ),
    ],
  };
}
