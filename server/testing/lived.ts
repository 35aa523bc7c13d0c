import type { Lived } from '@dusk-wren/core/life';

/** What a signed job of a day says, as plain as can be. */
export const lived = (signed: string, more: Partial<Lived> = {}): Lived => ({
  ...{ opened: signed, signed, scope: 'overhaul', reported: 'passes', condemned: false, nextDue: signed },
  ...{ by: ['ada'], openedBy: 'ada', minutes: 300, figures: [], words: [], measures: [] },
  ...{ renewed: [], reworked: [], temporary: [], putRight: [] },
  ...more,
});
