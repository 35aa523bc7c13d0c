import { boltedBonnet } from './bolted-bonnet';
import { boltedCover } from './bolted-cover';
import { bonnetAndDiaphragmHousing } from './bonnet-and-diaphragm-housing';
import { capAndPlate } from './cap-and-plate';
import { clampedYoke } from './clamped-yoke';
import { clamps } from './clamps';
import { diaphragmHousing } from './diaphragm-housing';
import { endCaps } from './end-caps';
import { pilotCover } from './pilot-cover';
import { screwedBody } from './screwed-body';
import { screwedBonnet } from './screwed-bonnet';
import { sealRingBonnet } from './seal-ring-bonnet';
import { shaftBox } from './shaft-box';
import { springBonnet } from './spring-bonnet';
import { springCover } from './spring-cover';
import type { Features, JointKind, JointOf } from '../features';
import type { Joint } from './joint';

/** Every kind of joint. */
const JOINTS: { readonly [K in JointKind]: Joint<JointOf<K>> } = {
  'bolted-bonnet': boltedBonnet,
  'bolted-cover': boltedCover,
  'clamped-yoke': clampedYoke,
  'seal-ring-bonnet': sealRingBonnet,
  'cap-and-plate': capAndPlate,
  'spring-cover': springCover,
  'end-caps': endCaps,
  'diaphragm-housing': diaphragmHousing,
  'bonnet-and-diaphragm-housing': bonnetAndDiaphragmHousing,
  'shaft-box': shaftBox,
  clamps,
  'screwed-body': screwedBody,
  'screwed-bonnet': screwedBonnet,
  'pilot-cover': pilotCover,
  'spring-bonnet': springBonnet,
};

/** How a valve of these features is opened. */
export const jointOf = ({ joint }: Pick<Features, 'joint'>): Joint => JOINTS[joint.kind];

export type { Joint } from './joint';
