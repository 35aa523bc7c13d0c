import type { Mover } from './mover';

/** Nothing but the flow. */
export const flow: Mover = { name: 'The flow', fails: 'shuts when the flow turns', parts: () => [] };
