import type { Features, JointKind, JointOf } from '../../valve';
import type { Fragment } from '../draft';
import { boltedBonnet } from './bolted-bonnet';
import { clampedYoke } from './clamped-yoke';
import type { JointProcedure } from './joint';

const JOINTS: { readonly [K in JointKind]: JointProcedure<JointOf<K>> } = {
  'bolted-bonnet': boltedBonnet,
  'bolted-cover': { marks: { title: 'Match-mark cover to body', parts: ['cover', 'body'] } },
  'clamped-yoke': clampedYoke,
  'seal-ring-bonnet': { marks: { title: 'Match-mark bonnet to body', parts: ['bonnet', 'body'] } },
  'cap-and-plate': {
    marks: { title: 'Match-mark cover plate, cap and plug', parts: ['cover plate', 'cap', 'plug'] },
  },
  'spring-cover': { marks: { title: 'Match-mark cover to body', parts: ['cover', 'body'] } },
  'end-caps': { marks: { title: 'Match-mark both end caps to the body', parts: ['end caps', 'body'] } },
  'diaphragm-housing': {
    marks: {
      title: 'Match mark down bonnet, lower housing and body, and the tubing',
      parts: ['bonnet', 'lower housing', 'body'],
    },
  },
  'bonnet-and-diaphragm-housing': {
    marks: { title: 'Match-mark bonnet, housing and body', parts: ['bonnet', 'housing', 'body'] },
  },
  'shaft-box': { marks: { title: 'Match-mark actuator, lever and shaft', parts: ['shaft'] } },
  clamps: {
    marks: {
      title: 'Mark cylinder, bonnet and body: the air connections face a side',
      parts: ['cylinder', 'body'],
    },
  },
  'screwed-body': {
    marks: { title: 'Match-mark housing, body and bottom cap', parts: ['housing', 'bottom cap', 'body'] },
  },
  'screwed-bonnet': { marks: { title: 'Note how cover and bonnet stand', parts: ['bonnet', 'body'] } },
  'pilot-cover': { marks: { title: 'Mark coil and cover to the body', parts: ['coil', 'cover', 'body'] } },
  'spring-bonnet': { marks: { title: 'Match-mark bonnet to body', parts: ['bonnet', 'body'] } },
};

/** How the joint of a valve of these features is worked on. */
export const jointProcedure = ({ joint }: Pick<Features, 'joint'>): JointProcedure => JOINTS[joint.kind];

export const jointSteps: Fragment = {
  name: 'joint',
  room: 'joint',
  openings: 'every',
  compose: (c) => jointProcedure(c.features).steps?.(c, c.features.joint) ?? [],
};
