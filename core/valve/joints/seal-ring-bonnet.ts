import type { Joint } from './joint';
import type { SealRingBonnet } from '../features';

/** A bonnet on a pressure-energised seal ring, the internals carried in it. */
export const sealRingBonnet: Joint<SealRingBonnet> = {
  wheel: ['handwheel'],
  lipSeals: true,
  parts: ({ ringHeldBy }) => [
    'bearing cap',
    'cap O-ring',
    'outer bearing',
    'shear pin',
    'upper stem',
    'inner bearing',
    'packing gland',
    'bonnet studs',
    'bonnet',
    'grease fitting',
    ...(ringHeldBy === 'lock ring' ? (['lock ring'] as const) : []),
    'bonnet seal ring',
  ],
};
