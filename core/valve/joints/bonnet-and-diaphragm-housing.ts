import type { Joint } from './joint';

/** A bonnet over a diaphragm housing. */
export const bonnetAndDiaphragmHousing: Joint = {
  parts: () => [
    'bonnet bolts',
    'bonnet',
    'bonnet gasket',
    'diaphragm bolt',
    'diaphragm retainer',
    'upper diaphragm',
    'lifting rings',
    'housing bolts',
    'housing',
  ],
};
