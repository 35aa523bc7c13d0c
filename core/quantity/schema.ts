import { z } from 'zod';
import type { Problem } from '../problem';
import { parseQuantity } from './parse';
import type { Quantity } from './quantity';
import { DIMENSIONS, isDimension, unitOf, type Dimension, type UnitOf } from './units';

/** Hands one of our problems through zod; `issuesFromZod` takes it out again. */
export function addProblem(context: z.core.$RefinementCtx, problem: Problem): void {
  context.addIssue({ code: 'custom', params: { problem }, message: problem.code });
}

const shape = z.object({
  dimension: z.string().exactOptional(),
  value: z.number(),
  unit: z.string(),
  entered: z.string().max(60).exactOptional(),
});

/**
 * A quantity of one dimension, from what a person types (`"3/4 in"`) or from stored JSON
 * (`{value, unit}`, with or without `dimension`).
 */
export function quantityOf<D extends Dimension>(dimension: D) {
  return z.union([z.string().max(60), shape]).transform((raw, context): Quantity<D> => {
    if (typeof raw === 'string') {
      const parsed = parseQuantity(raw, dimension);
      if (parsed.ok) return parsed.value;
      addProblem(context, parsed.problem);
      return z.NEVER;
    }
    if ((raw.dimension ?? dimension) !== dimension || !isUnit(dimension, raw.unit)) {
      addProblem(context, {
        code: 'quantity.wrong-kind',
        text: `${raw.value} ${raw.unit}`,
        unit: raw.unit,
        wanted: dimension,
        found: raw.dimension === undefined ? [] : [raw.dimension],
      });
      return z.NEVER;
    }
    const { entered } = raw;
    return { dimension, value: raw.value, unit: raw.unit, ...(entered === undefined ? {} : { entered }) };
  });
}

/** A quantity of any dimension, from stored JSON that names it. */
export const anyQuantity = z
  .object({ dimension: z.string().refine(isDimension, `one of ${DIMENSIONS.join(', ')}`) })
  .loose()
  .transform((raw, context): Quantity => {
    const read = quantityOf(raw.dimension).safeParse(raw);
    if (read.success) return read.data;
    context.addIssue({ code: 'custom', message: 'not a quantity of its dimension' });
    return z.NEVER;
  });

function isUnit<D extends Dimension>(dimension: D, unit: string): unit is UnitOf<D> {
  return unitOf(dimension, unit) !== undefined;
}
