import { closureOf, reversible, type Features, type PartRole } from '../../valve';
import { PRESSURE_AT_VENT } from '../blocks/vent';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Fragment } from '../draft';
import { jointProcedure } from '../joints';
import { lastTime, spelt, stepName } from '../relations';
import { sequence, setUp, strip } from '../sequence';

const MARK = stepName('strip.match-mark');

/** What is turned against the body and marked to it: the parts of the joint, then what stands on them. */
function marked(c: Context): PartRole[] {
  // An actuator that is reversed goes back another way round, on purpose.
  const above: readonly PartRole[] = reversible(c.features)?.reversing
    ? []
    : ['actuator', 'cylinder', 'positioner'];
  return [...new Set([...jointProcedure(c.features).marks.parts, ...above])].filter(
    (part) => part !== 'body' && c.has(part),
  );
}

/** A valve that is only repacked is not taken apart. */
const takenApart = (features: Features): boolean => !closureOf(features).repackedInPlace;

/** Marks first, before any joint is loosened. */
export const matchMarks: Fragment = {
  name: 'match marks',
  openings: 'first',
  when: takenApart,
  compose: (c) => {
    const { marks } = jointProcedure(c.features);
    return sequence(
      c,
      strip(
        feature('joints that must go back as they ran'),
        ['isolated', 'received', 'diagnosed', 'vented'],
        'marked',
      ),
      [
        {
          id: MARK,
          title: marks.title,
          why: 'It goes back the way it ran; nobody remembers how it was clocked.',
          caution: CAUTIONS.zero,
          tools: ['centre punch or paint pen'],
          parts: marks.parts.filter(c.has),
          ...(marked(c).length > 0 ? { task: { kind: 'marks', parts: marked(c) } } : {}),
          minutes: 3,
        },
      ],
    );
  },
};

/** At rebuild the marks are shown again, and must meet. */
export const marksMet: Fragment = {
  name: 'marks met',
  openings: 'first',
  of: ['sound'],
  when: takenApart,
  compose: (c) => {
    const parts = marked(c);
    if (parts.length === 0) return [];
    return sequence(c, setUp(feature('joints that must go back as they ran')), [
      {
        id: 'setup.marks',
        title: 'Do the marks meet?',
        why: 'Each part stands where it stood: tubing, guides and seats fit only so.',
        parts,
        task: { kind: 'marks', parts, was: spelt(MARK, 1) },
        minutes: 2,
      },
    ]);
  },
};

/** On a later opening: what the test left in the valve is let out first. */
export const ventedAgain: Fragment = {
  name: 'vented again',
  openings: 'later',
  compose: (c) => {
    const thread = strip(feature('opened again'), [lastTime('seat tested')], 'isolated', 'marked');
    return sequence(c, thread, [
      {
        id: 'strip.vent',
        title: 'Vent the rig and prove zero again',
        why: 'The valve still holds the test pressure on one side.',
        caution: CAUTIONS.zero,
        task: { kind: 'measure', asks: [PRESSURE_AT_VENT] },
        minutes: 5,
      },
    ]);
  },
};
