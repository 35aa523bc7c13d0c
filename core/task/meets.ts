import { si, type Quantity } from '../quantity';
import type { Wanted } from './measure-ask';

/** A pressure reading of less than this is zero on a gauge; so is a volt on a tester (common practice). */
const ZERO: Partial<Record<Quantity['dimension'], number>> = { 'gauge pressure': 2000, voltage: 1 };

/** What lies outside by less than this share is the rounding of a unit. */
export const ROUNDING = 1e-6;

/** Whether a reading is what the step asks for; any reading will do where it asks for none in particular. */
export function meets({ mustBe }: { readonly mustBe?: Wanted }, value: Quantity): boolean {
  if (mustBe === undefined) return true;
  if (mustBe === 'zero') return Math.abs(si(value)) <= (ZERO[value.dimension] ?? 0);
  if ('atLeast' in mustBe) return si(value) >= si(mustBe.atLeast) * (1 - ROUNDING);
  if ('below' in mustBe) return si(value) < si(mustBe.below);
  const [from, to] = [si(mustBe.from), si(mustBe.to)];
  const slack = ROUNDING * Math.abs(to);
  return si(value) >= from - slack && si(value) <= to + slack;
}
