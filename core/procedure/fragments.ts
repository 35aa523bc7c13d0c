import { closureSteps } from './closures';
import type { Fragment } from './draft';
import { asFound } from './every-job/as-found';
import { leftForNow } from './every-job/left-for-now';
import { closingUp } from './every-job/closing-up';
import { diagnose, ringsOnTop } from './every-job/diagnose';
import { inspectParts } from './every-job/inspect';
import { inService } from './every-job/in-service';
import { isolate } from './every-job/isolation/isolate';
import { restore } from './every-job/isolation/restore';
import { trial } from './every-job/isolation/trial';
import { liftBack, liftOut } from './every-job/lift';
import { jointFaces } from './every-job/joint-faces';
import { lookedAtAgain } from './every-job/looked-at-again';
import { marksMet, matchMarks, ventedAgain } from './every-job/match-marks';
import { partRenewal } from './every-job/part-renewal';
import { pressureTests, testHold } from './every-job/pressure-tests';
import { outOfScope } from './every-job/out-of-scope';
import { receive } from './every-job/receive';
import { reversal } from './every-job/reversal';
import { condemn, quote, release } from './every-job/release';
import { blueAsFound } from './every-job/seat-work/bluing';
import { cutting } from './every-job/seat-work/cutting';
import { grinding } from './every-job/seat-work/rounds';
import { settings } from './every-job/settings';
import { jointSteps } from './joints';
import { moverSteps } from './movers';
import { positionerSteps } from './positioners/relay';
import { risingStem } from './stem/rising-stem';
import { slidingStem } from './stem/sliding-stem';
import { stuffingBox } from './stem/stuffing-box';

/**
 * Everything a plan can be composed of: what every job has, and the steps of what its valve is made of, so that a valve
 * of mixed features gets its plan from the same list. Their order only breaks ties: relations decide.
 */
export const FRAGMENTS: readonly Fragment[] = [
  receive,
  asFound,
  diagnose,
  ringsOnTop,
  reversal,
  isolate,
  liftOut,
  matchMarks,
  ventedAgain,
  settings,
  inspectParts,
  outOfScope,
  moverSteps,
  positionerSteps,
  jointSteps,
  closureSteps,
  risingStem,
  slidingStem,
  stuffingBox,
  blueAsFound,
  jointFaces,
  partRenewal,
  leftForNow,
  cutting,
  grinding,
  lookedAtAgain,
  closingUp,
  marksMet,
  pressureTests,
  testHold,
  trial,
  liftBack,
  restore,
  inService,
  release,
  condemn,
  quote,
];
