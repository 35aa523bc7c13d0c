/** `07:30` of what a hand makes of it: `7:30`, `7.30`, `730`. */
export const clock = (typed: string): string =>
  typed
    .trim()
    .replace(/^(\d{1,2})[:.]?(\d\d)$/, '$1:$2')
    .padStart(5, '0');
