import type { EnergyKind } from './energies';
import { SIDES, type Line, type Side } from './line';

/**
 * What may hold up a gauge that does not come to zero, in the order in which it is looked for: the cheapest and the most
 * usual first (common practice).
 */
export function feedsOf(kind: EnergyKind, line: Line): readonly string[] {
  const side = SIDES.find((at) => kind === `${at} pressure`);
  if (side) return ofSide(side, line);
  switch (kind) {
    case 'cavity pressure':
      return [
        'The bleed itself: plugged with grease or dirt? Rod it, standing aside.',
        'The valve’s position: as the sheet says? Stroke it once and look again.',
        'A seat that passes into the cavity: both sides at zero first, then read again.',
      ];
    case 'supply air':
    case 'signal air':
      return [
        'The lock on its supply: the right valve, and shut?',
        'A second supply: a tank, a lock-up, a boosted line.',
        'The gauge: knock it, and read another.',
      ];
    case 'electrical':
      return [
        'The lock: the right breaker?',
        'A second feed, a heater, a capacitor.',
        'The tester, on a known live point.',
      ];
    default:
      return [];
  }
}

function ofSide(at: Side, line: Line): string[] {
  const { shutBy } = line[at];
  return [
    'The gauge: knock it, shut it off and let it down; read another.',
    'The vent: open, and not plugged? Rod it, standing aside.',
    ...(shutBy === 'block valve' || shutBy === 'double block and bleed'
      ? [
          `The ${at} block: shut to its stop? Stroke it once, with the operator; listen along it, feel where it is cold or hot.`,
        ]
      : []),
    ...(shutBy === 'double block and bleed' ? ['The bleed between the blocks: open, and blowing?'] : []),
    ...(shutBy === 'line shut down'
      ? ['The line: does the operator find it shut down, drained and at zero?']
      : []),
    ...(line.bypass
      ? ['The bypass: what passes through it reaches this side when the next block passes.']
      : []),
    'The other side: vented too? This valve passes.',
    'A branch, a purge or a sample line in between, that the sheet does not show.',
  ];
}
