import type { DrillId } from '@dusk-wren/core/drill';
import { defineAsyncComponent, type Component } from 'vue';

/** The bench that each kind is done on. */
export const SURFACES: Readonly<Record<DrillId, Component>> = {
  'comes-off-next': defineAsyncComponent(() => import('./ApartSurface.vue')),
  'make-it-dead': defineAsyncComponent(() => import('./LineSurface.vue')),
  'where-is-the-fault': defineAsyncComponent(() => import('./FaultSurface.vue')),
  'read-the-ring': defineAsyncComponent(() => import('./RingSurface.vue')),
  'straight-or-bent': defineAsyncComponent(() => import('./DialSurface.vue')),
  'bolt-it': defineAsyncComponent(() => import('./BoltSurface.vue')),
  'in-the-bag': defineAsyncComponent(() => import('./BagSurface.vue')),
  'which-screw': defineAsyncComponent(() => import('./ScrewSurface.vue')),
  'set-it': defineAsyncComponent(() => import('./RigSurface.vue')),
  'fit-or-not': defineAsyncComponent(() => import('./FitSurface.vue')),
};
