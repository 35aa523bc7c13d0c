import { inject, provide, type InjectionKey } from 'vue';

export const PANELS = [
  ['section', 'Section'],
  ['parts', 'Parts'],
  ['tray', 'Tray'],
  ['kit', 'Kit'],
  ['ways', 'Choices'],
  ['log', 'History'],
] as const;
export type Panel = (typeof PANELS)[number][0];

const OPEN: InjectionKey<(panel: Panel) => void> = Symbol('left panel');

/** How the step in hand opens what stands beside it: one kit check, one tray, one drawing. */
export const provideLeftPanel = (open: (panel: Panel) => void): void => provide(OPEN, open);
export const useLeftPanel = (): ((panel: Panel) => void) => inject(OPEN, () => undefined);
