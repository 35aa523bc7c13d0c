import { phrase, quantity, type Angle, type Phrase } from '../quantity';
import type { MeasureAsk } from './measure-ask';
import { meets } from './meets';
import { RESPONSE, RESPONSE_STEPS, stepFigure } from './response';
import type { StepFacts } from './task-kind';

/** The gain of a positioner, and which way to turn it: more is quicker and hunts (common practice). */
export interface GainAdvice {
  readonly turn: Angle;
  readonly why: Phrase;
}

const HALF = quantity('angle', 0.5, 'turn');
const DOWN = quantity('angle', -0.5, 'turn');

/** Down, where it goes to and fro instead of standing. */
export function huntingAdvice(wide: number): GainAdvice {
  return { turn: DOWN, why: phrase`it hunts by ${quantity('ratio', wide, '%')}: less gain.` };
}

/** By how it answered last, since its gain was turned: down where it runs past, up where small steps do not move it. */
export function responseAdvice(
  { asks }: { readonly asks: readonly MeasureAsk[] },
  facts: StepFacts,
): GainAdvice | undefined {
  const turned = facts.on('screw-turned').at(-1)?.seq ?? 0;
  const isOver = (what: string) => {
    const ask = asks.find((each) => each.what === what);
    const read = facts.on('measured').findLast(({ seq, body }) => body.what === what && seq > turned);
    return ask !== undefined && read !== undefined && !meets(ask, read.body.value);
  };
  const past = RESPONSE_STEPS.find((step) => isOver(stepFigure('overshoot', step)));
  if (past) return { turn: DOWN, why: `it runs past, ${past.from} to ${past.to} %: less gain.` };
  return isOver(RESPONSE.deadBand)
    ? { turn: HALF, why: 'small steps do not move it: more gain; if it hunts then, it is friction.' }
    : undefined;
}
