import type { Context } from '../draft';
import { CAUTIONS } from '../cautions';
import type { Sketch } from '../sequence';
import { settledRound } from './taken';

/** Lip seals in a finished bore: out without steel, in with their lips to the pressure. Shared by every stem sealed so. */
export const lipSealsOut = (id: string, part: 'lip seals' | 'lip seal' | 'actuator lip seal'): Sketch => ({
  id,
  title: part === 'lip seals' ? 'Stem packings out through the top' : `Old ${part} out`,
  why: 'Pushed, not hooked.',
  caution: CAUTIONS.wood,
  tools: ['wooden rod'],
  off: [part],
  minutes: 6,
});

export const lipSealsIn = (
  c: Context,
  id: string,
  part: 'lip seals' | 'lip seal' | 'actuator lip seal',
  also: Partial<Sketch> = {},
): Sketch => ({
  id,
  title:
    part === 'lip seals'
      ? 'New stem packings in, lips facing down, to the pressure'
      : `New ${part} in, lip to the pressure`,
  why: 'Pressure opens a lip against the stem; the other way round it leaks at once.',
  task: settledRound('lips of the seals'),
  caution: 'A wooden rod only: a nicked lip is a leak.',
  tools: ['wooden rod'],
  consumables: [
    c.features.lubrication.kind === 'food-grade' ? 'food-grade grease' : 'service-rated lubricant',
  ],
  on: [part],
  minutes: 6,
  ...also,
});
