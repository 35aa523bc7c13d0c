import type { Mover } from './mover';
import type { DiaphragmOnStem } from '../features';

/** A diaphragm clamped on the valve’s own stem, in three variants. */
export const diaphragmOnStem: Mover<DiaphragmOnStem> = {
  name: 'Diaphragm on the stem',
  holds: ['diaphragm'],
  fails: 'by its spring, where it has one',
  byAir: true,
  element: 'diaphragm',
  spring: { how: 'spring under the bonnet: the adjusting screw is backed off first', by: ['spring'] },
  parts: ({ variant, springPlate }) => {
    const sprung = variant !== 'double acting';
    return [
      ...(sprung ? (['adjusting screw'] as const) : []),
      'bonnet bolts',
      'bonnet',
      ...(sprung ? (['spring'] as const) : []),
      ...(springPlate ? (['spring plate'] as const) : []),
      'diaphragm nut',
      'diaphragm plates',
      'diaphragm',
      'lower housing',
      'housing gasket',
    ];
  },
};
