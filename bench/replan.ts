import { apply, fold } from '../core/job';
import { must } from '../core/problem';
import { bendReadings } from '../core/testing/bend';
import { BenchJob, DIAL } from '../core/testing/bench';
import { timed } from './timed';
import { plan } from '../core/plan';

const job = new BenchJob().workTo('inspect.runout');
job.send({
  kind: 'take-runout',
  body: { step: 'inspect.runout', readings: bendReadings(3), readBy: DIAL },
});
const finding = job.log.at(-1);
const before = must(fold(job.log.slice(0, -1)));
if (!finding) throw new Error('the job has no finding');
timed('Plan made again after a finding, bolted globe', 5, () => plan(must(apply(before, finding))));
