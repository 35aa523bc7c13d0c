import type { Joint } from './joint';

/** The cover of a pilot, held by small screws. */
export const pilotCover: Joint = { screwed: true, parts: () => ['cover screws', 'cover', 'cover O-ring'] };
