import type { ConstructionId } from '../valve';
import type { Fragment } from './draft';
import { boltedBonnet, jointFaces, settled } from './fragments/bolted-bonnet';
import { partRenewal } from './fragments/part-renewal';
import { isolate, receive } from './fragments/receive';
import { release } from './fragments/release';
import { risingStem } from './fragments/rising-stem';
import { contactHold, discAndSeat, seatWork } from './fragments/seat-work';
import { pressureTests } from './fragments/tests';

/** The fragments that a construction is composed of. Their order only breaks ties: relations decide. */
export const FRAGMENTS: Readonly<Record<ConstructionId, readonly Fragment[]>> = {
  'globe-bolted': [
    receive,
    isolate,
    boltedBonnet,
    risingStem,
    discAndSeat,
    jointFaces,
    partRenewal,
    seatWork,
    contactHold,
    settled,
    pressureTests,
    release,
  ],
};
