import type { Features, Joint, PartRole } from '../../valve';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Fragment } from '../draft';
import { sequence, setUp, strip } from '../sequence';
import { PRESSURE_AT_VENT } from './vent';

interface Marks {
  readonly title: string;
  readonly parts: readonly PartRole[];
}

const MARKS: Partial<Record<Joint['kind'], Marks>> = {
  'bolted-bonnet': { title: 'Match-mark bonnet to body', parts: ['bonnet', 'body'] },
  'bolted-cover': { title: 'Match-mark cover to body', parts: ['cover', 'body'] },
  'clamped-yoke': {
    title: 'Find the mark between body and yoke, or make one',
    parts: ['clamped yoke', 'body'],
  },
  'seal-ring-bonnet': { title: 'Match-mark bonnet to body', parts: ['bonnet', 'body'] },
  'cap-and-plate': { title: 'Match-mark cover plate, cap and plug', parts: ['cover plate', 'cap', 'plug'] },
  'spring-cover': { title: 'Match-mark cover to body', parts: ['cover', 'body'] },
  'end-caps': { title: 'Match-mark both end caps to the body', parts: ['end caps', 'body'] },
  'diaphragm-housing': {
    title: 'Match mark down bonnet, lower housing and body, and the tubing',
    parts: ['bonnet', 'lower housing', 'body'],
  },
  'bonnet-and-diaphragm-housing': {
    title: 'Match-mark bonnet, housing and body',
    parts: ['bonnet', 'housing', 'body'],
  },
  'shaft-box': { title: 'Match-mark actuator, lever and shaft', parts: ['shaft'] },
  clamps: {
    title: 'Mark cylinder, bonnet and body: the air connections face a side',
    parts: ['cylinder', 'body'],
  },
  'screwed-body': {
    title: 'Match-mark housing, body and bottom cap',
    parts: ['housing', 'bottom cap', 'body'],
  },
  'screwed-bonnet': { title: 'Note how cover and bonnet stand', parts: ['bonnet', 'body'] },
  'pilot-cover': { title: 'Mark coil and cover to the body', parts: ['coil', 'cover', 'body'] },
  'spring-bonnet': { title: 'Match-mark bonnet to body', parts: ['bonnet', 'body'] },
};

/** What is turned against the body and marked to it: the parts of the joint, then what stands on them. */
function marked(c: Context): PartRole[] {
  const joint = MARKS[c.features.joint.kind]?.parts ?? [];
  const above: readonly PartRole[] = ['actuator', 'cylinder', 'positioner'];
  return [...new Set([...joint, ...above])].filter((part) => part !== 'body' && c.has(part));
}

/** A valve that is only repacked is not taken apart. */
const takenApart = ({ closure }: Features): boolean => closure.kind !== 'eccentric-plug';

/** Marks first, before any joint is loosened. */
export const matchMarks: Fragment = {
  name: 'match marks',
  openings: 'first',
  when: takenApart,
  compose: (c) => {
    const marks = MARKS[c.features.joint.kind];
    if (!marks) return [];
    return sequence(
      c,
      strip(
        feature('joints that must go back as they ran'),
        ['isolated', 'received', 'diagnosed', 'vented'],
        'marked',
      ),
      [
        {
          id: 'strip.match-mark',
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
  when: takenApart,
  compose: (c) => {
    const parts = marked(c);
    if (c.condemned || parts.length === 0 || !MARKS[c.features.joint.kind]) return [];
    return sequence(c, setUp(feature('joints that must go back as they ran'), ['rebuilt']), [
      {
        id: 'setup.marks',
        title: 'Do the marks meet?',
        why: 'Each part stands where it stood: tubing, guides and seats fit only so.',
        parts,
        task: { kind: 'marks', parts, was: 'strip.match-mark' },
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
    const { failed } = c.opening;
    if (c.condemned || !failed) return [];
    const thread = strip(feature('opened again'), [], 'isolated', 'marked');
    const [vent] = sequence(c, thread, [
      {
        id: 'strip.vent',
        title: 'Vent the rig and prove zero again',
        why: 'The valve still holds the test pressure on one side.',
        caution: CAUTIONS.zero,
        task: {
          kind: 'measure',
          asks: [PRESSURE_AT_VENT],
        },
        minutes: 5,
      },
    ]);
    return vent ? [{ ...vent, after: [failed.body.step.id] }] : [];
  },
};
