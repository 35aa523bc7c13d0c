import type { Joint } from './joint';
import type { BoltedBonnet } from '../features';

/** A bonnet held by studs and nuts on a crushed gasket. */
export const boltedBonnet: Joint<BoltedBonnet> = {
  parts: ({ blindHead, gasket }, { stem, bushing }) => [
    'bonnet studs',
    'bonnet',
    ...(stem.motion === 'rising' ? (['yoke'] as const) : []),
    ...(bushing.held !== 'none' ? (['stem bushing'] as const) : []),
    gasket === 'seal ring' ? 'bonnet seal' : 'bonnet gasket',
    ...(blindHead ? (['blind head studs', 'blind head', 'blind head gasket'] as const) : []),
  ],
};
