/** What keeps a shop from being kept or brought back, as a sentence for whoever reads it. */
export class KeepingFault extends Error {}
