import { SIDES, type Line } from '../../../isolation';
import { closureOf, relieves } from '../../../valve';
import { draft, type Context, type Draft } from '../../draft';
import { stepName, type Relation } from '../../relations';
import { IN_LINE, LINE, SHEET } from './steps';

export const PROTECTED = stepName('isolate.protected');
export const SEALED_OPEN = stepName('restore.sealed-open');

/** What it protects is without it from the first block on. */
export const protectedMeanwhile = (): Draft =>
  draft({
    ...SHEET,
    name: PROTECTED,
    title: 'What protects it meanwhile? Another relief valve in service, or the plant shut down',
    why: 'From the first block on, nothing lets the pressure out of what this valve protects.',
    caution: 'Without an answer from whoever runs the plant no block is touched.',
    task: { kind: 'do', writes: 'what protects it meanwhile, and who agreed' },
    minutes: 5,
    after: [LINE],
  });

/** A block beside a relief valve is sealed open: shut by mistake, nothing is relieved. */
export function sealedOpen(c: Context, line: Line, after: readonly Relation[]): Draft[] {
  const blocks = SIDES.filter((side) => line[side].shutBy.includes('block'));
  if (!relieves(closureOf(c.features)) || blocks.length === 0) return [];
  return [
    draft({
      stage: 'release',
      because: IN_LINE,
      provides: ['restored'],
      name: SEALED_OPEN,
      title: `Seal the ${blocks.join(' and ')} block open`,
      why: 'Car seal or lock, and on the list of sealed valves: shut by mistake, nothing is relieved.',
      caution: 'Look that it is fully open first.',
      tools: ['lock and tag'],
      task: { kind: 'do', writes: 'the numbers of the seals' },
      minutes: 5,
      after,
    }),
  ];
}
