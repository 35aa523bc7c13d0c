import type { Mover } from './mover';
import type { RollingDiaphragm } from '../features';

/** A rolling diaphragm that turns a shaft by clevis and lever. */
export const rollingDiaphragm: Mover<RollingDiaphragm> = {
  name: 'Rolling diaphragm',
  holds: ['clevis', 'shaft lever'],
  byAir: true,
  positioner: 'side',
  element: 'diaphragm',
  turns: 'lever',
  spring: {
    how: 'spring barrel: never opened in the field; the clevis is freed with air at mid-travel',
    by: ['spring barrel', 'actuator spring'],
  },
  parts: ({ form }) => [
    'air lines',
    'front cover',
    'clevis pin',
    'clevis',
    'clevis nut',
    ...(form === 'barrel across' ? (['spring barrel', 'actuator handwheel', 'limit stop'] as const) : []),
    'actuator',
    'rolling diaphragm',
    'shaft lever',
    'travel indicator',
    'yoke',
  ],
};
