import { parseQuantity, parseRange, psig, valueIn, type Quantity, type QuantityRange } from '../quantity';
import {
  API_6A_RATINGS,
  NOMINAL_SIZES,
  ORIFICES,
  parseSize,
  PRESSURE_CLASSES,
  RELIEF_STAMPS,
  type MaterialGroup,
  type Orifice,
  type PressureClass,
  type ReliefStamp,
} from '../standards';
import { ACTINGS, readSignalRange, type Acting, type SignalRangeName } from './signal';

/** What a nameplate line says, as far as it could be read. */
export interface PlateReading {
  readonly tag?: string;
  readonly serial?: string;
  readonly model?: string;
  readonly nps?: number;
  readonly pressureClass?: PressureClass;
  readonly ratedPressure?: Quantity<'gauge pressure'>;
  readonly group?: MaterialGroup;
  readonly bodyMaterial?: string;
  readonly trim?: string;
  readonly sizeCode?: string;
  readonly setPressure?: Quantity<'gauge pressure'>;
  readonly springRange?: QuantityRange<'gauge pressure'>;
  readonly signal?: SignalRangeName;
  readonly acting?: Acting;
  readonly orifice?: Orifice;
  readonly stamp?: ReliefStamp;
}

/** One thing picked out, for showing beside the line. */
export interface PlateItem {
  readonly label: string;
  readonly text: string;
}

export interface PlateRead {
  readonly plate: PlateReading;
  readonly items: readonly PlateItem[];
  /** Pieces of the line that nobody understood. */
  readonly left: readonly string[];
}

/** Casting and forging grades by their B16.34 group (handbook part 5). */
const GRADES: readonly (readonly [RegExp, MaterialGroup])[] = [
  [/^(?:A ?216[ -]?)?WCB$|^A ?105N?$/i, '1.1'],
  [/^(?:A ?216[ -]?)?WCC$|^(?:A ?352[ -]?)?LCC$/i, '1.2'],
  [/^(?:A ?352[ -]?)?LCB$/i, '1.3'],
  [/^(?:A ?217[ -]?)?WC1$|^F1$/i, '1.5'],
  [/^(?:A ?217[ -]?)?WC6$|^F11$/i, '1.9'],
  [/^(?:A ?217[ -]?)?WC9$|^F22$/i, '1.10'],
  [/^(?:A ?217[ -]?)?C5$|^F5A?$/i, '1.13'],
  [/^(?:A ?217[ -]?)?C12A$|^F91$/i, '1.15'],
  [/^F?321H?$/i, '2.4'],
  [/^(?:A ?351[ -]?)?CF8C$|^F?347H?$/i, '2.5'],
  [/^(?:A ?494[ -]?)?M-?35-?1$/i, '3.4'],
  [/^(?:A ?351[ -]?)?CF8$|^F304H?$|^304$/i, '2.1'],
  [/^(?:A ?351[ -]?)?CF[38]M$|^F316H?$|^316$/i, '2.2'],
  [/^F?30?4L$|^F?316L$/i, '2.3'],
];

type Take = (found: RegExpMatchArray, into: Write) => boolean;
type Write = { -readonly [K in keyof PlateReading]?: PlateReading[K] };

const word =
  (key: 'tag' | 'serial' | 'model' | 'trim' | 'sizeCode'): Take =>
  (found, into) => {
    const text = found[1]?.trim();
    if (!text) return false;
    into[key] = text;
    return true;
  };

const size: Take = (found, into) => {
  const read = parseSize((found[1] ?? found[0]).trim());
  if (!read.ok || !NOMINAL_SIZES.some(([nps]) => nps === read.value.nps)) return false;
  into.nps = read.value.nps;
  return true;
};

const pressureClass: Take = (found, into) => {
  const listed = PRESSURE_CLASSES.find((each) => String(each) === found[1]);
  if (listed === undefined) return false;
  into.pressureClass = listed;
  return true;
};

const body: Take = (found, into) => {
  const grade = (found[1] ?? found[0]).trim();
  const group = GRADES.find(([named]) => named.test(grade))?.[1];
  if (!group) return false;
  into.group = group;
  into.bodyMaterial = grade.toUpperCase();
  return true;
};

const ratedPressure: Take = (found, into) => {
  const read = parseQuantity((found[1] ?? '').replace(/(\d) (?=\d{3})/g, '$1'), 'gauge pressure');
  const rated = read.ok ? API_6A_RATINGS.find((psi) => isNear(valueIn(read.value, 'psig'), psi)) : undefined;
  if (rated === undefined) return false;
  into.ratedPressure = psig(rated);
  return true;
};

/** 34.5 MPa is 5000 psi as it is stamped. */
const isNear = (value: number, stamped: number) => Math.abs(value - stamped) < 0.005 * stamped;

const setPressure: Take = (found, into) => {
  const read = parseQuantity(found[1] ?? '', 'gauge pressure');
  if (!read.ok) return false;
  into.setPressure = read.value;
  return true;
};

const orifice: Take = (found, into) => {
  const letter = ORIFICES.find((each) => each === found[1]?.toUpperCase());
  if (letter) into.orifice = letter;
  return letter !== undefined;
};

const stamp: Take = (found, into) => {
  const letters = RELIEF_STAMPS.find((each) => each === found[1]?.toUpperCase());
  if (letters) into.stamp = letters;
  return letters !== undefined;
};

const springRange: Take = (found, into) => {
  const read = parseRange(found[1] ?? '', 'gauge pressure');
  if (!read.ok) return false;
  into.springRange = read.value;
  return true;
};

const signal: Take = (found, into) => {
  const range = readSignalRange(found[1] ?? '');
  if (range) into.signal = range;
  return range !== undefined;
};

const acting: Take = (found, into) => {
  const way = ACTINGS.find((each) => each === found[1]?.toLowerCase());
  if (way) into.acting = way;
  return way !== undefined;
};

/** What each piece of a plate may be, with its word first, without it after. */
const PATTERNS: readonly (readonly [label: string, pattern: RegExp, take: Take])[] = [
  ['Tag', /^(?:tag|item)(?: ?no\.?)?[ :#]*([A-Z0-9][A-Z0-9./-]*)$/i, word('tag')],
  ['Serial', /^(?:serial|ser\.?|s\/?n)(?: ?no\.?)?[ :#]*([A-Z0-9][A-Z0-9 ./-]*)$/i, word('serial')],
  ['Model', /^(?:model|type|fig(?:ure)?\.?)(?: ?no\.?)?[ :#]*(\S.*)$/i, word('model')],
  ['Set pressure', /^(?:set(?: ?press(?:ure|\.)?)?|cdtp)[ :=]*(\d.*)$/i, setPressure],
  ['Orifice', /^(?:orifice|orif\.?)[ :=]*([A-Z])$/i, orifice],
  ['Stamp', /^(UV|V)(?: ?stamp)?$/i, stamp],
  ['Signal', /^(?:signal|input)(?: ?range)?[ :=]*(\d.*)$/i, signal],
  ['Acting', /^(?:acting[ :=]*)?(direct|reverse)(?: ?acting)?$/i, acting],
  ['Spring range', /^(?:spring|range|bench ?set)(?: ?range)?[ :=]*(\d.*)$/i, springRange],
  ['Trim', /^trim[ :]*(\S.*)$/i, word('trim')],
  ['Size code', /^(?:size ?code|k(?= ?[:=])|order ?key)[ :=]*(\S+)$/i, word('sizeCode')],
  ['Size', /^(?:size[ :]*)?((?:nps|dn) ?\d[\d /-]*|\d[\d /-]* ?(?:in|inch|"|”))$/i, size],
  ['Size', /^size[ :]*(\d[\d /-]*)$/i, size],
  [
    'Rated pressure',
    /^(?:rated|rating|w\.?p\.?|working ?press(?:ure|\.)?)[ :=]*(\d[\d .]*(?:psi|psig|mpa|bar))$/i,
    ratedPressure,
  ],
  ['Rated pressure', /^(\d[\d .]*(?:psi|psig|mpa))(?: ?w\.?p\.?)?$/i, ratedPressure],
  ['Class', /^(?:class|cl\.?|ansi|rating)[ :#]*(\d{3,4})(?: ?#|lbs?)?$/i, pressureClass],
  ['Class', /^#?(\d{3,4}) ?(?:#|lbs?)$/i, pressureClass],
  ['Body', /^(?:body|shell|mat(?:erial|\.)?)[ :]*(\S.*)$/i, body],
  ['Body', /^[A-Z]\w*(?:[ -]?[A-Z0-9]+)?$/i, body],
  ['Spring range', /^(\d[\d.]* ?(?:-|–|to) ?\d[\d.]* ?(?:psi|psig|bar ?g?|kpa))$/i, springRange],
  ['Tag', /^([A-Z]{1,4}-?\d{1,5}[A-Z]?)$/, word('tag')],
];

/** Words that begin a new piece where somebody wrote no comma. */
const BEGINS =
  /(?<!\bbench)\s+(?=(?:tag|item|serial|ser\b|s\/?n\b|model|type\b|fig\b|set\b|cdtp|orifice|spring|signal|input|bench ?set|trim|size(?: ?code)?\b|order ?key|class|cl\b|ansi|body|nps ?\d|dn ?\d)(?:\b|[ :#=.]))/i;

/**
 * Reads a nameplate line as it was typed, pasted or scanned: pieces between commas, semicolons, bars and line ends, or
 * begun by their word. What is not understood is given back, never guessed at.
 * Example: `FV-12; S/N K 20 118; 3 in; CL 300; WCB; trim 316; set 150 psig`.
 */
export function readPlate(line: string): PlateRead {
  const into: Write = {};
  const items: PlateItem[] = [];
  const left: string[] = [];
  const pieces = line
    .split(/[,;|\n\t]+/)
    .flatMap((piece) => piece.split(BEGINS))
    .map((piece) => piece.trim())
    .filter((piece) => piece !== '');
  for (const piece of pieces) {
    const label = PATTERNS.find(([, pattern, take]) => {
      const found = piece.match(pattern);
      return found !== null && take(found, into);
    })?.[0];
    if (label === undefined) left.push(piece);
    else items.push({ label, text: piece });
  }
  return { plate: into, items, left };
}

/** A tag or serial as it is compared: case, blanks and dashes are nothing, and a letter O in it reads as a nought. */
export const plateKey = (text: string): string =>
  text
    .toUpperCase()
    .replace(/[^A-Z0-9]/g, '')
    .replaceAll('O', '0')
    .replaceAll('I', '1');

export interface Known {
  readonly tag: string;
  readonly serial?: string;
}

/** How alike, the most alike first. */
export const LIKENESSES = [
  'same valve',
  'same serial, other tag',
  'same tag, other serial',
  'near tag',
] as const;
export type Likeness = (typeof LIKENESSES)[number];

/** How a valve that is typed in looks like one on file; undefined when it does not. */
export function likeness(typed: Known, onFile: Known): Likeness | undefined {
  const [tag, serial] = [plateKey(typed.tag) === plateKey(onFile.tag), sameSerial(typed, onFile)];
  if (tag && serial !== 'other') return 'same valve';
  if (tag) return 'same tag, other serial';
  if (serial === 'same') return 'same serial, other tag';
  return typed.tag.length >= 4 && oneApart(plateKey(typed.tag), plateKey(onFile.tag))
    ? 'near tag'
    : undefined;
}

function sameSerial(a: Known, b: Known): 'same' | 'other' | 'unknown' {
  if (!a.serial || !b.serial) return 'unknown';
  return plateKey(a.serial) === plateKey(b.serial) ? 'same' : 'other';
}

/** Whether one is the other with a single letter changed, or two neighbours swapped: how a slip of the pen looks. */
function oneApart(a: string, b: string): boolean {
  if (a.length !== b.length || a === b) return false;
  const differ = [...a].flatMap((letter, i) => (letter === b[i] ? [] : [i]));
  const [first, second] = differ;
  if (first === undefined) return false;
  if (differ.length === 1) return true;
  return differ.length === 2 && second === first + 1 && a[first] === b[second] && a[second] === b[first];
}
