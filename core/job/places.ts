/** Where the work on a valve is done: it stays in its line, goes to the shop and back, or came in bare. */
export const PLACES = ['in line', 'out and back', 'bare'] as const;
export type Place = (typeof PLACES)[number];

export const PLACE_WORDS: Readonly<Record<Place, string>> = {
  'in line': 'stays in its line',
  'out and back': 'out to the shop and back',
  bare: 'came in bare',
};
