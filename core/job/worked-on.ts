import { valueIn, type Length } from '../quantity';
import {
  asReversed,
  featuresSchema,
  metalSeatOf,
  toReverse,
  type Features,
  type PartRole,
  type Valve,
} from '../valve';
import { scopeOf } from './scope';
import { standingEntries, valveOf, type JobState } from './state';
import type { RoundOf } from './ways-round';

/** The valve as this job works on it: reversed on it, where that is what the job is for. */
export function valveWorkedOn(state: JobState): Valve | undefined {
  const valve = valveOf(state);
  return valve && scopeOf(state) === 'reversal' ? { ...valve, features: toReverse(valve.features) } : valve;
}

/** The valve as the job leaves it, for the record of it. */
export function valveAsLeft(state: JobState): Valve | undefined {
  const valve = valveWorkedOn(state);
  return valve && { ...valve, features: lessMetal(state, turned(state, asReversed(valve.features))) };
}

/** A part of two faces that went back on its other one is on its second from now on; a new one is on its first. */
function turned(state: JobState, features: Features): Features {
  const { seat } = features;
  if (seat.kind === 'cartridge' && seenBack(state, 'numbered end of the cartridge'))
    return { ...features, seat: { ...seat, service: seat.service === 'first' ? 'second' : 'first' } };
  if (seat.kind === 'reversible') {
    const back = seenBack(state, 'numbered face of the reversible seat');
    if (back !== undefined) return { ...features, seat: { ...seat, turned: back === 'turned' } };
  }
  return features;
}

/** What a step calls the metal that was cut off a part. */
export const metalOff = (part: PartRole): string => `metal taken off the ${part}`;

/** Faces whose stock is the seat’s. */
const SEATS: readonly PartRole[] = ['seat', 'seat ring', 'nozzle'];

/** What was cut off its seat is no longer there to be cut; a mark that was ground out took its own depth with it. */
function lessMetal(state: JobState, features: Features): Features {
  const stock = metalSeatOf(features)?.stock;
  if (!stock) return features;
  const off = measuredOff(state, stock) || groundOff(state, stock);
  if (off === 0) return features;
  const left = { ...stock, value: Math.max(0, stock.value - off) };
  return featuresSchema.parse({ ...features, seat: { ...features.seat, stock: left } });
}

const measuredOff = (state: JobState, { unit }: Length): number =>
  SEATS.reduce((sum, part) => {
    const cut = state.records.measured.findLast(({ body }) => body.what === metalOff(part))?.body.value;
    return sum + (cut?.dimension === 'length' ? valueIn({ ...cut, dimension: 'length' }, unit) : 0);
  }, 0);

/** Where nobody measured what grinding took off: the deepest mark that was found in it (common practice). */
const groundOff = ({ records }: JobState, { unit }: Length): number =>
  records['lapping-logged'].length === 0
    ? 0
    : Math.max(
        0,
        ...records['finding-made'].flatMap(({ body: { part, finding } }) =>
          SEATS.includes(part) && finding.kind === 'seat damage' ? [valueIn(finding.depth, unit)] : [],
        ),
      );

/** Whether it went back as it came or the other way round; undefined where it never came out. */
function seenBack(state: JobState, what: RoundOf): 'as it came' | 'turned' | undefined {
  const seen = standingEntries(state).flatMap((entry) =>
    entry.kind === 'way-round-seen' && entry.body.what === what ? [entry.body] : [],
  );
  const back = seen.findLast(({ step }) => step.stage === 'rebuild');
  const came = seen.find(({ step }) => step.stage === 'strip');
  return back && (came?.way === back.way ? 'as it came' : 'turned');
}
