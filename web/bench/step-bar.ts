import type { InjectionKey, Ref } from 'vue';

/** The bar at the foot of the step in hand: the buttons of its task stand in it. */
export const STEP_BAR: InjectionKey<Readonly<Ref<HTMLElement | null>>> = Symbol('step bar');
