import { figuresOfFit } from '../../inspection';
import type { MeasureAsk } from '../../task';

/** A length, read by caliper unless told. */
export const lengthAsk = (
  what: string,
  example: string,
  instrument: NonNullable<MeasureAsk['instrument']> = 'caliper',
): MeasureAsk => ({ what, dimension: 'length', example, instrument });

/** What a bore and what runs in it measure, each two ways; both ways of a sound one are alike. */
export const fitAsks = (
  fit: Parameters<typeof figuresOfFit>[0],
  example: { readonly shaft: string; readonly bore: string },
): MeasureAsk[] => {
  const { shaft, shaftAcross, bore, boreAcross } = figuresOfFit(fit);
  return [
    lengthAsk(shaft, example.shaft),
    lengthAsk(shaftAcross, example.shaft),
    lengthAsk(bore, example.bore),
    lengthAsk(boreAcross, example.bore),
  ];
};

/** A length that may be none at all. */
export const orNought = (ask: MeasureAsk): MeasureAsk => ({ ...ask, orNought: true });

/** A pressure, read on a gauge. */
export const pressureAsk = (what: string, example: string): MeasureAsk => ({
  what,
  dimension: 'gauge pressure',
  example,
  instrument: 'gauge',
});
