import { must, type Problem } from '../problem';
import { valueIn, type Quantity } from '../quantity';
import { findWorking, isQuantity, type ResultValue, type Step } from '../workings';

/** The answer of a working, as tests read it: each result by name, a quantity in the unit wanted. */
export interface Asked {
  readonly result: Readonly<Record<string, ResultValue | undefined>>;
  readonly notes: string;
  readonly steps: readonly Step[];
  readonly in: (name: string, unit: string) => number;
  readonly quantity: (name: string) => Quantity;
}

/** Asks a working with raw input, as the command line would; throws when it refuses. */
export function ask(id: string, raw: unknown): Asked {
  const { result, notes, steps } = must(must(findWorking(id)).run(raw));
  const quantity = (name: string): Quantity => {
    const value = result[name];
    if (value === undefined || !isQuantity(value)) throw new Error(`${id} answers no quantity ${name}`);
    return value;
  };
  return {
    result,
    steps,
    notes: notes.join(' '),
    quantity,
    in: (name, unit) => valueIn(quantity(name), unit),
  };
}

/** Why a working refuses raw input; throws when it does not. */
export function refusal(id: string, raw: unknown): Problem {
  const asked = must(findWorking(id)).run(raw);
  if (asked.ok) throw new Error(`${id} answered ${JSON.stringify(asked.value.result)}`);
  return asked.problem;
}
