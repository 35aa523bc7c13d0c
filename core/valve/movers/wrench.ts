import type { Mover } from './mover';

/** A loose wrench on a square. */
export const wrench: Mover = { name: 'Wrench', holds: ['square'], parts: () => [] };
