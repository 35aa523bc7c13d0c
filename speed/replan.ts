import { apply, fold } from '@dusk-wren/core/job';
import { must } from '@dusk-wren/core/problem';
import { bendReadings } from '@dusk-wren/core/testing/bend';
import { BenchJob, DIAL } from '@dusk-wren/core/testing/bench';
import { timed } from './timed';
import { plan } from '@dusk-wren/core/plan';
import { defaultValve } from '@dusk-wren/core/valve';

const job = new BenchJob().workTo('inspect.runout');
job.send({
  kind: 'take-runout',
  body: { step: 'inspect.runout', readings: bendReadings(3), readBy: DIAL },
});
const finding = job.log.at(-1);
const before = must(fold(job.log.slice(0, -1)));
if (!finding) throw new Error('the job has no finding');
timed('Plan made again after a finding, bolted globe', 5, () => plan(must(apply(before, finding))));

/** The longest plan of all: a double-seated control globe on a piston with its positioner. */
const usual = defaultValve('control-globe-double-seat');
const largest = new BenchJob({
  ...usual,
  features: {
    ...usual.features,
    moved: { kind: 'piston', coupling: 'screwed' },
    positioner: { kind: 'on-cylinder' },
  },
}).workTo('inspect.runout');
const earlier = must(fold(largest.log));
largest.send({
  kind: 'take-runout',
  body: { step: 'inspect.runout', readings: bendReadings(3), readBy: DIAL },
});
const bent = largest.log.at(-1);
if (!bent) throw new Error('the job has no finding');
timed('Plan made again after a finding, the largest valve', 10, () => plan(must(apply(earlier, bent))));
