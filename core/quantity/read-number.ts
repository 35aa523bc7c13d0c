/** How a person's locale writes decimals. */
export type DecimalMark = '.' | ',';

export interface ReadNumber {
  value: number;
  /** What of the text was read as the number. */
  understood: string;
  /** What followed it, trimmed at the front. */
  rest: string;
}

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
};

const SPOKEN_SIGN = /^(plus|minus)\s+/i;

/**
 * Reads the number at the front of what was typed: `3`, `-0.003`, `.5`, `3/4`, `1 1/2`, `1-1/2`, `1½`, `2.5e3`,
 * `minus 2`, `0,003` and, for a locale that writes a decimal comma, `1,125`. With a decimal point, `1,125` is
 * one thousand one hundred and twenty-five. Returns undefined when no number stands there.
 */
export function readNumber(text: string, decimal: DecimalMark = '.'): ReadNumber | undefined {
  const tidy = tidied(text);
  const found = /^([+-]?)\s*((?:\d+(?:[.,]\d+)*|[.,]\d+)(?:[eE][+-]?\d+)?)/.exec(tidy);
  if (!found) return undefined;
  const [whole, sign = '', digits = ''] = found;
  const first = plainNumber(digits, decimal);
  if (first === undefined) return undefined;
  const after = tidy.slice(whole.length);
  const fraction = readFraction(first, digits, after);
  const value = fraction ? fraction.value : first;
  const length = whole.length + (fraction ? fraction.length : 0);
  return {
    value: sign === '-' ? -value : value,
    understood: tidy.slice(0, length).trim(),
    rest: tidy.slice(length).trim(),
  };
}

function tidied(text: string): string {
  return text
    .trim()
    .replace(SPOKEN_SIGN, (word) => (word.toLowerCase().startsWith('m') ? '-' : '+'))
    .replace(/[−–]/g, '-')
    .replace(/⁄/g, '/')
    .replace(
      /(\d?)([½¼¾⅛⅜⅝⅞⅓⅔])/g,
      (_, digit: string, mark: string) => `${digit}${digit ? ' ' : ''}${VULGAR[mark] ?? ''}`,
    );
}

/** `1` followed by ` 1/2` or `-1/2`, or `3` followed by `/4`. */
function readFraction(
  first: number,
  digits: string,
  after: string,
): { value: number; length: number } | undefined {
  if (!/^\d+$/.test(digits)) return undefined;
  const simple = /^\s*\/\s*(\d+)(?![\d.,])/.exec(after);
  if (simple && Number(simple[1]) > 0) return { value: first / Number(simple[1]), length: simple[0].length };
  const mixed = /^(?:\s+|\s*-\s*)(\d+)\s*\/\s*(\d+)(?![\d.,])/.exec(after);
  if (mixed && Number(mixed[2]) > 0 && Number(mixed[1]) < Number(mixed[2])) {
    return { value: first + Number(mixed[1]) / Number(mixed[2]), length: mixed[0].length };
  }
  return undefined;
}

function plainNumber(digits: string, decimal: DecimalMark): number | undefined {
  const [mantissa = '', exponent = ''] = digits.split(/(?=[eE])/);
  const plain = normalised(mantissa, decimal);
  if (plain === undefined) return undefined;
  const value = Number(plain + exponent);
  return Number.isFinite(value) ? value : undefined;
}

function normalised(digits: string, decimal: DecimalMark): string | undefined {
  const group = decimal === '.' ? ',' : '.';
  const grouped = new RegExp(`^[1-9]\\d{0,2}(\\${group}\\d{3})+(\\${decimal}\\d+)?$`);
  if (grouped.test(digits)) return digits.replaceAll(group, '').replace(decimal, '.');
  const marks = digits.match(/[.,]/g) ?? [];
  return marks.length <= 1 ? digits.replace(',', '.') : undefined;
}
