/** Every verdict a working may come to: whatever shows one knows them all. */
export const WORKING_VERDICTS = [
  'fit',
  'acceptable',
  'shuts',
  'ask',
  'no limit given',
  'stop',
  'renew',
  'regrind or renew',
  'not fit',
  'does not shut',
  'does not open',
  'broken',
  'wide',
  'no contact',
  'twists the shaft',
  'choked',
  'not choked',
  'meets',
  'not in sight',
  'over limit',
  'too few points',
  'early deaths',
  'wear',
  'cannot be told from chance',
] as const;
export type WorkingVerdict = (typeof WORKING_VERDICTS)[number];

export const isWorkingVerdict = (value: unknown): value is WorkingVerdict =>
  WORKING_VERDICTS.some((each) => each === value);

/** Holds for a result without a verdict, and for one whose verdict is of the list. */
export type WithKnownVerdict<R> = R extends { readonly verdict?: infer V }
  ? [V] extends [WorkingVerdict | undefined]
    ? unknown
    : never
  : unknown;
