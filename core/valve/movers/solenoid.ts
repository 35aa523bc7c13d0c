import type { Mover } from './mover';

/** A coil that lifts an armature off the pilot orifice. */
export const solenoid: Mover = {
  name: 'Solenoid',
  holds: ['pilot'],
  fails: 'shuts when the power goes',
  power: true,
  spring: { how: 'small cone spring under the cover', by: ['cone spring'] },
  parts: () => [
    'coil',
    'armature screws',
    'armature',
    'armature spring',
    'armature O-ring',
    'equalising orifice',
    'orifice O-ring',
  ],
};
