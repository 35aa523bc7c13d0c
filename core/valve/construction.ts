/** The constructions known so far, by their stable identifier, with the words of the shop. */
export const CONSTRUCTIONS = {
  'globe-bolted': { name: 'Globe, bolted bonnet', about: 'rising stem, handwheel, swivel disc' },
} as const;

export type ConstructionId = keyof typeof CONSTRUCTIONS;
export const CONSTRUCTION_IDS = ['globe-bolted'] as const satisfies readonly ConstructionId[];
