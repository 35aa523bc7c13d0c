import type { Joint } from './joint';

/** A cap over a cover plate. */
export const capAndPlate: Joint = {
  parts: () => [
    'grease injector',
    'locking ring',
    'cap bolts',
    'cap',
    'adjusting screw',
    'cap spacer',
    'cover plate',
    'plate spacer',
    'cover gasket',
  ],
};
