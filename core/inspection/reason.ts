import { handle } from '../problem';
import { phrase, type Length, type Phrase, type Quantity } from '../quantity';
import type { PartRole } from '../valve';

/** Every reason for a call, in words; where it goes by figures, they are in it. */
const REASONS = {
  // what was seen
  'nothing found': 'looked at, nothing found',
  cracked: 'cracked',
  'cracked for good': 'cracked, and it cannot be renewed',
  scored: 'scored',
  'insert scored': 'severe scratches: the complete insert',
  'relay bushing scored': 'its bushing is scored: the whole relay body',
  galled: 'scored or galled: what runs in it sticks',
  bent: 'bent: it wears what it runs in',
  worn: 'worn past its fit',
  'thread worn': 'its thread is worn',
  'rising thread worn': 'a worn thread on a rising stem lets pressure push the valve open',
  'one face worn': 'one face worn: it is turned over on to the other',
  'both faces worn': 'turned over before: both its faces have been used',
  'one seat worn': 'one seat worn: the cartridge is turned end for end',
  'light marks': 'minor marks: an even grind takes them out',
  stiff: 'stiff in its bore: clean it, an even grind',
  blocked: 'a small passage blocked stops the whole valve',
  'rides low': 'no wear travel left: it would bottom before it seals',
  'pocket corroded': 'corroded where the seat meets the body: no seat will seal in it',
  'own seat damaged': 'its seat is one piece with it: a damaged one is a new body',
  'body leaks': 'the body leaks: what it may be repaired by is for somebody who may decide',
  leaks: 'it leaks: put right before the job is closed',
  stuck: 'it must swivel freely to find its seat',
  'light corrosion': 'light corrosion',
  'deep corrosion': 'deep corrosion',
  'deep corrosion of the body': 'deep corrosion: somebody who may decide must look',
  torn: ({ form }: { form: string }) => `${form}: a diaphragm that is not whole is not patched`,
  cut: ({ form }: { form: string }) => `${form}: a seal that is not whole leaks`,
  'spring fault': ({ form }: { form: string }) => `${form}: its load is no longer what the sheet says`,
  unsure: ({ what }: { what: string }) => what,
  // a seat, by the depth of what is in it
  'soft seat marked': ({ depth }: Deep) => phrase`${depth} deep in a soft seat: it is not dressed`,
  'site renews': ({ depth }: Deep) => phrase`${depth} deep: this site renews what it can`,
  'within grinding': ({ depth, to }: Deep & { to: Length }) =>
    phrase`${depth} deep: shallow enough to grind in (to ${to})`,
  'within refacing': ({ depth, to }: Deep & { to: Length }) =>
    phrase`${depth} deep: more than grinding takes off, within refacing (to ${to})`,
  'past its stock': ({ depth, stock }: Deep & { stock: Length }) =>
    phrase`${depth} deep, only ${stock} of stock above the least thickness`,
  'past the stock of the body': ({ depth, stock }: Deep & { stock: Length }) =>
    phrase`${depth} deep, only ${stock} of stock above the least thickness, and the seat is part of the body`,
  'hard facing': ({ depth }: Deep) =>
    phrase`${depth} deep: hard facing is too hard for a hand reseater: the lathe is quicker and controlled`,
  'past refacing': ({ depth }: Deep) => phrase`${depth} deep: too deep to reface by hand`,
  'stock unknown': ({ depth, to }: Deep & { to: Length }) =>
    phrase`${depth} deep, more than ${to}, and what stock is left is not known: the drawing’s least thickness decides`,
  'past the lathe': ({ depth, to }: Deep & { to: Length }) =>
    phrase`${depth} deep: more than ${to}, which is more than a part like this has to give`,
  'past lapping': ({ depth, to }: Deep & { to: Length }) =>
    phrase`${depth} deep, more than ${to}: a lap does not take that off and stay flat; machined to the maker’s least dimension or renewed, as his drawing says`,
  'cartridge marked': ({ depth }: Deep) =>
    phrase`${depth} deep: more than grinding takes off, and a cartridge is not machined here`,
  'pair marked': ({ depth }: Deep) =>
    phrase`${depth} deep: plug and body are a pair: a plug cut deeper drops, and its port with it`,
  'wedge would sink': ({ depth, sink, travel }: Sinking) =>
    phrase`${depth} off a face lets the wedge sink ${sink}; at this size it has ${travel} to sink at the most (API 600)`,
  'wear travel unknown': ({ depth, sink }: Omit<Sinking, 'travel'>) =>
    phrase`${depth} off a face lets the wedge sink ${sink}: the size decides whether it has that to give`,
  'lapped on a block': ({ depth }: Deep) =>
    phrase`${depth} deep: the wedge is lapped on a block, never on its seats`,
  'ground in line': ({ depth }: Deep) => phrase`${depth} deep: a portable grinder reaches it in line`,
  'lapped out of the body': ({ depth }: Deep) => phrase`${depth} deep: out of the body, then lapped`,
  'out of reach': ({ depth }: Deep) =>
    phrase`${depth} deep: this seat does not come out, and no grinder reaches it in line`,
  'each against a lap': ({ depth }: Deep) =>
    phrase`${depth} deep: disc and nozzle each against a lap, never on each other`,
  'flat as made': ({ depth }: Deep) =>
    phrase`${depth} deep: gates and seats are lapped flat as they are made: a mark is not dressed here`,
  'ball lightly marked': ({ depth }: Deep) =>
    phrase`${depth} deep: hardly to be felt; whether it may run on new seats is for somebody who may decide`,
  'ball marked': ({ depth }: Deep) => phrase`${depth} deep: a marked ball cuts its new seats`,
  // a joint face and a stem
  'joint face within lapping': ({ depth }: Deep) => phrase`${depth} deep: figure of eight on a block`,
  'joint face past lapping': ({ depth }: Deep) => phrase`${depth} deep: too deep to lap, turn it first`,
  'joint face past turning': ({ depth, to }: Deep & { to: Length }) =>
    phrase`${depth} deep, more than ${to}: the wall and the groove that are left decide, by calculation`,
  'marked in the packing': 'marked where the packing runs: it leaks through good packing',
  'marked below the packing': 'marked between disc and backseat: it touches no packing',
  'thread marked': 'marked on the thread',
  'runs true': ({ tir, limit }: Runout) => phrase`runout (TIR) ${tir}, limit ${limit}`,
  oval: ({ tir, limit }: Runout) =>
    phrase`runout (TIR) ${tir}, limit ${limit}: out of round, and packing rides on an oval`,
  'out of round': ({ oval, limit }: { oval: Length; limit: Length }) =>
    phrase`out of round by ${oval}, limit ${limit}: packing rides on an oval; reground or renewed`,
  'bent, straightened here': ({ tir, limit }: Runout) =>
    phrase`runout (TIR) ${tir}, limit ${limit}: bent; this site allows straightening`,
  'bent stem': ({ tir, limit }: Runout) =>
    phrase`runout (TIR) ${tir}, limit ${limit}: bent; it leaks through good packing and wears its bushing`,
  // what readings came to
  measured: ({ what, found, limit }: Measured) =>
    limit === undefined ? phrase`${what}: ${found}` : phrase`${what} ${found}, limit ${limit}`,
  // new at every overhaul, or by what the valve is
  'packing is new': 'the stem leaves it: always new',
  'seals are new': 'kits renew every seal',
  'soft seats are new': 'soft seats are new with every kit',
  'diaphragm is new': 'new with every kit',
  'safety pin': 'a safety part, or sheared to come out: always new',
  'goes with the packing': 'it goes with the packing: always new',
  'once crushed': 'once crushed it does not seal again: always new',
  'first service': 'first service: the unused upstream seat becomes the downstream one',
  'second service': 'second service: both seats have been used',
  'renewed as a set': ({ with: part }: { with: PartRole }) => `renewed as a set with the ${part}`,
  // somebody decided otherwise
  overruled: ({ words }: { words: string }) => words,
} satisfies Readonly<Record<string, string | ((given: never) => Phrase)>>;

interface Deep {
  readonly depth: Length;
}
interface Sinking extends Deep {
  readonly sink: Length;
  readonly travel: Length;
}
interface Measured {
  readonly what: string;
  readonly found: Quantity | string;
  readonly limit?: Quantity;
}
interface Runout {
  readonly tir: Length;
  readonly limit: Length;
}

type Words = typeof REASONS;
/** A reason that goes by no figure. */
export type PlainReason = { [C in keyof Words]: Words[C] extends string ? C : never }[keyof Words];
type FiguredReason = Exclude<keyof Words, PlainReason>;

/** Why a part is called what it is, as data. */
export type Reason =
  | { readonly code: PlainReason }
  | { [C in FiguredReason]: { readonly code: C } & Parameters<Words[C]>[0] }[FiguredReason];

/** The reason in words. */
export function wordReason(reason: Reason): Phrase {
  const words = REASONS[reason.code];
  return typeof words === 'string' ? words : handle(words, reason);
}
