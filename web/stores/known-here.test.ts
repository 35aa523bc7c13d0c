import { instrumentView } from '@dusk-wren/contract';
import { instrumentId, instrumentStamp } from '@dusk-wren/core/job';
import { useQueryCache } from '@pinia/colada';
import { createPinia, setActivePinia } from 'pinia';
import { expect, it } from 'vitest';
import { GAUGE_SET } from '../testing/on-job';
import { knownHere } from './known-here';

it('an instrument of this shop is stamped as an entry of the log takes it; another one is none', () => {
  setActivePinia(createPinia());
  const instrument = instrumentView.parse(GAUGE_SET);
  const known = knownHere(useQueryCache(), () => [instrument]);
  expect(instrumentStamp.safeParse(known.instrument(instrument.id)).error).toBeUndefined();
  expect(known.instrument(instrumentId.parse('00000000-0000-4000-8000-000000000999'))).toBeUndefined();
});
