import { pointsOf, type IsolationPoint, type Line } from '../../../isolation';
import { hangingLocks, lineOf } from '../../../job';
import { draft, type Context, type Fragment } from '../../draft';
import { ifThere, stepName, type Relation, type StepName } from '../../relations';
import { isolatedOn, isolationOf } from './isolated';
import { SEALED_OPEN, sealedOpen } from './relief-away';
import { IN_LINE, liveAt, PERMIT, RESTORED } from './steps';

const restoreOf = ({ id }: IsolationPoint): StepName => stepName('restore', id);
const strayOf = (point: string): StepName => stepName('restore.stray', point);

/** Stage 10 in a line: the isolation taken off in the mirror order, by the hands that put it on, signed by two. */
export const restore: Fragment = {
  name: 'restore',
  openings: 'afterwards',
  of: ['sound'],
  compose: (c) => {
    const line = lineOf(c.state);
    if (c.place === 'bare' || !line || isolatedOn(c) === 'nothing') return [];
    const back = isolationOf(c, line)
      .points.toReversed()
      .flatMap((point) => (point.restore ? [{ point, restore: point.restore }] : []));
    const strays = straysOf(c, line);
    const thread = { stage: 'release', because: IN_LINE, provides: ['restored'] } as const;
    return [
      ...strays.map(({ body: { point, step } }) =>
        draft({
          ...thread,
          name: strayOf(point),
          title: `Lock off: ${step.title.charAt(0).toLowerCase()}${step.title.slice(1)}`.slice(0, 120),
          why: 'It was hung before the line was drawn otherwise, and hangs still.',
          task: { kind: 'unlock', point },
          minutes: 3,
          after: readyFor(c),
        }),
      ),
      ...back.map(({ point, restore: { title, why } }, i) => {
        const before = back[i - 1];
        return draft({
          ...thread,
          name: restoreOf(point),
          isolation: { is: 'restored', point: point.id, ...liveAt(point) },
          title,
          why,
          ...(point.locked ? { task: { kind: 'unlock', point: point.id } } : {}),
          minutes: 3,
          after: before ? [restoreOf(before.point)] : readyFor(c),
        });
      }),
      ...sealedOpen(
        c,
        line,
        back.slice(-1).map(({ point }) => restoreOf(point)),
      ),
      draft({
        ...thread,
        name: RESTORED,
        title: 'Two sign the isolation off',
        why: 'Every lock off, every vent shut, the process told: seen by two.',
        caution: PERMIT,
        task: { kind: 'sign-off', done: 'restored', checked: 'walked and found right' },
        minutes: 5,
        after: [
          ifThere(SEALED_OPEN),
          ...back.slice(-1).map(({ point }) => restoreOf(point)),
          ...strays.map(({ body }) => strayOf(body.point)),
        ],
      }),
    ];
  },
};

/** What must be behind before pressure comes back: proved on the rig and refitted, or put together where it stands. */
const readyFor = ({ place }: Context): readonly Relation[] =>
  place === 'in line' ? ['rebuilt', 'set up', 'gland set', 'seat tested'] : ['tested', 'back in line'];

/** Locks that hang on points that the line as drawn now no longer has. */
function straysOf({ state, valve }: Context, line: Line) {
  const known = new Set(pointsOf(valve, line).flatMap(({ id, locked }) => (locked ? [id] : [])));
  return hangingLocks(state).filter(({ body }) => !known.has(body.point));
}
