import type { PartRole } from '@dusk-wren/core/valve';
import type { Away, Section } from './section';

/** Where each part stands when the valve is drawn apart, and how much room that takes. */
export interface Apart {
  readonly offsets: ReadonlyMap<PartRole, readonly [number, number]>;
  readonly room: { readonly up: number; readonly down: number; readonly side: number };
}

const STEP = { up: 18, down: 20, left: 14, right: 14 } as const;
const FIRST = 34;

/** Parts off so far, drawn along their axis: the first off farthest, in the order they came. */
export function apart(section: Section, order: readonly PartRole[], off: number): Apart {
  const gone = order.slice(0, off);
  const counts: Record<Away, number> = { up: 0, down: 0, left: 0, right: 0 };
  const offsets = new Map<PartRole, readonly [number, number]>();
  for (const role of [...gone].reverse()) {
    const way = section.away[role] ?? 'up';
    const distance = FIRST + counts[way]++ * STEP[way];
    offsets.set(role, [
      way === 'left' ? -distance : way === 'right' ? distance : 0,
      way === 'up' ? -distance : way === 'down' ? distance : 0,
    ]);
  }
  const room = (way: Away) => (counts[way] === 0 ? 0 : FIRST + counts[way] * STEP[way]);
  return {
    offsets,
    room: { up: room('up'), down: room('down'), side: Math.max(room('left'), room('right')) },
  };
}
