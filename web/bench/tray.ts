import type { JobState } from '@dusk-wren/core/job';
import { stripOrder, trayPlaces, type Plan } from '@dusk-wren/core/plan';
import { partsOf, type PartRole } from '@dusk-wren/core/valve';

/** A place on the tray: parts lie in the order they come off. */
export interface TrayPlace {
  readonly place: number;
  /** As it is written at its place: a letter before it, for the drawing has numbers too. */
  readonly mark: string;
  readonly role: PartRole;
  readonly name: string;
  readonly number: number;
}

export const trayMark = (place: number): string => `T${place}`;

export function trayOf(planned: Plan | undefined, state: JobState | undefined): TrayPlace[] {
  if (!planned || !state) return [];
  const parts = new Map(partsOf(planned.valve).map((part) => [part.role, part]));
  const places = trayPlaces(state, planned.steps);
  return [...new Set(stripOrder(planned.steps))].map((role) => ({
    place: places.get(role) ?? 0,
    mark: trayMark(places.get(role) ?? 0),
    role,
    name: parts.get(role)?.name ?? role,
    number: parts.get(role)?.number ?? 0,
  }));
}
