import type { Plan } from '@dusk-wren/core/plan';
import { partsOf, type PartRole } from '@dusk-wren/core/valve';
import { stripOrder } from '../drawings/sections/apart';

/** A place on the tray: parts lie in the order they come off. */
export interface TrayPlace {
  readonly place: number;
  readonly role: PartRole;
  readonly name: string;
  readonly number: number;
}

export function trayOf(planned: Plan | undefined): TrayPlace[] {
  if (!planned) return [];
  const parts = new Map(partsOf(planned.valve).map((part) => [part.role, part]));
  return stripOrder(planned.steps).map((role, i) => ({
    place: i + 1,
    role,
    name: parts.get(role)?.name ?? role,
    number: parts.get(role)?.number ?? 0,
  }));
}
