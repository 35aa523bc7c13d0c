import { valueIn, type Quantity } from '../quantity';
import type { MeanOf } from './measure-ask';

/** The means of readings both ways, as far as both are read. */
export function meansOf(
  { means = [] }: { readonly means?: readonly MeanOf[] },
  values: ReadonlyMap<string, Quantity>,
): readonly { readonly mean: MeanOf; readonly value: Quantity }[] {
  return means.flatMap((mean) => {
    const [rising, falling] = mean.of.map((what) => values.get(what));
    if (!rising || !falling) return [];
    return { mean, value: { ...rising, value: (rising.value + valueIn(falling, rising.unit)) / 2 } };
  });
}
