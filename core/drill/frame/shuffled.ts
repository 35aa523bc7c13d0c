import type { Chance } from '../../simulation';

/** In another order, every one as likely (Fisher–Yates). */
export function shuffled<T>(items: readonly T[], dice: Chance): T[] {
  const order = [...items];
  for (let i = order.length - 1; i > 0; i--) {
    const j = Math.floor(dice.uniform() * (i + 1));
    const [a, b] = [order[i], order[j]];
    if (a !== undefined && b !== undefined) [order[i], order[j]] = [b, a];
  }
  return order;
}
