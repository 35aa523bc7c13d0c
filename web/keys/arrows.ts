const STEPS: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/** Buttons that are one stop of the tab key together: arrows go from one to the next, and round. */
export function withArrows(event: KeyboardEvent): void {
  const by = STEPS[event.key];
  const { currentTarget, target } = event;
  if (by === undefined || !(currentTarget instanceof HTMLElement) || !(target instanceof HTMLElement)) return;
  const stops = [...currentTarget.querySelectorAll<HTMLElement>('button')];
  const at = stops.indexOf(target);
  if (at < 0) return;
  event.preventDefault();
  stops[(at + by + stops.length) % stops.length]?.focus();
}
