import { ok, refuse, type Result } from '../problem';
import { readNumber } from '../quantity';

/** NPS against DN (ASME B36.10M, ISO 6708), the sizes the trade meets. */
export const NOMINAL_SIZES: readonly (readonly [nps: number, dn: number])[] = [
  [0.25, 8],
  [0.375, 10],
  [0.5, 15],
  [0.75, 20],
  [1, 25],
  [1.25, 32],
  [1.5, 40],
  [2, 50],
  [2.5, 65],
  [3, 80],
  [3.5, 90],
  [4, 100],
  [5, 125],
  [6, 150],
  [8, 200],
  [10, 250],
  [12, 300],
  [14, 350],
  [16, 400],
  [18, 450],
  [20, 500],
  [24, 600],
  [30, 750],
  [36, 900],
];

/** A nominal pipe size, carried as NPS. */
export interface NominalSize {
  readonly nps: number;
}

/** Reads `NPS 3`, `3 in`, `3`, `1 1/2`, `DN 80`; only sizes in the table are sizes. */
export function parseSize(text: string): Result<NominalSize> {
  const tidy = text.trim();
  const dn = /^dn\s*/i.exec(tidy);
  const number = readNumber(tidy.replace(/^(nps|dn)\s*/i, ''));
  const known = (dn ? /^(mm)?$/i : /^("|in|inch|inches)?$/i).test(number?.rest ?? 'x');
  const row = known
    ? NOMINAL_SIZES.find(([nps, metric]) => (dn ? metric : nps) === number?.value)
    : undefined;
  return row
    ? ok({ nps: row[0] })
    : refuse({
        code: 'table.no-entry',
        table: 'nominal sizes',
        looked: tidy,
        has: 'NPS 1/4 to 36, DN 8 to 900',
      });
}

const FRACTIONS: Readonly<Record<number, string>> = { 0.25: '1/4', 0.375: '3/8', 0.5: '1/2', 0.75: '3/4' };

/** `NPS 1 1/2`. */
export function formatSize({ nps }: NominalSize): string {
  const whole = Math.floor(nps);
  const fraction = FRACTIONS[nps - whole];
  return `NPS ${[whole === 0 && fraction ? '' : String(whole), fraction ?? ''].filter(Boolean).join(' ')}`;
}

export function dnOf({ nps }: NominalSize): number | undefined {
  return NOMINAL_SIZES.find(([each]) => each === nps)?.[1];
}
