/**
 * The next of a series: `PS 11` is followed by `PS 12`, `T-009` by `T-010`; locks and tags come in sets and on hasps
 * (common practice). Nothing where it does not end in a number.
 */
export function nextNumber(last: string): string | undefined {
  const found = /^(.*?)(\d+)$/.exec(last.trim());
  if (!found) return undefined;
  const [, before = '', digits = ''] = found;
  return `${before}${String(Number(digits) + 1).padStart(digits.length, '0')}`;
}
