import type { Quantity } from '../quantity';
import type { Wanted } from './measure-ask';

/** The figures that something must lie between, or below, in words; nothing where it must be zero or may be anything. */
export function wantedWords(mustBe: Wanted | undefined, say: (value: Quantity) => string): string {
  if (mustBe === undefined || mustBe === 'zero') return '';
  if ('below' in mustBe) return `below ${say(mustBe.below)}`;
  if ('atLeast' in mustBe) return `at least ${say(mustBe.atLeast)}`;
  const [from, to] = [say(mustBe.from), say(mustBe.to)];
  return from === to ? from : `${from} to ${to}`;
}
