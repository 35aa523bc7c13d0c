import type { InstrumentControl, ReadingMessage } from '@dusk-wren/contract';
import { BenchJob } from '@dusk-wren/core/testing/bench';
import { defaultValve } from '@dusk-wren/core/valve';
import { expect, it } from 'vitest';
import { workAt } from '../testing/work-at';
import { OpenControls } from './controls';
import { simulatedGaugeSet } from './simulated-gauge-set';

const STEP = 'setup.span';
const ME = '00000000-0000-4000-8000-000000000001';
type Bench = Extract<ReadingMessage, { kind: 'bench' }>;

/** The last of so many readings of a valve at its span step, these settings sent first, and this entered meanwhile. */
async function after(
  readings: number,
  settings: readonly InstrumentControl[],
  job = benchJob(),
  meanwhile: (job: BenchJob) => BenchJob = (same) => same,
): Promise<Bench> {
  let grown = job.state;
  const work = { ...workAt(job, STEP), stateNow: () => grown };
  const open = new OpenControls();
  const { controls } = open.begin('a reading', ME);
  for (const control of settings) open.send('a reading', ME, control);
  const stop = new AbortController();
  let last: Bench | undefined;
  let count = 0;
  for await (const message of simulatedGaugeSet.read(work, stop.signal, controls)) {
    if (message.kind === 'bench') last = message;
    if (++count >= readings) stop.abort();
    if (count === 2) grown = meanwhile(job).state;
  }
  if (!last) throw new Error('nothing was read');
  return last;
}
const benchJob = () => new BenchJob(defaultValve('control-globe-double-seat')).workTo(STEP);
const signal = (percent: number): InstrumentControl => ({ kind: 'signal', percent });

it('a signal that is put in moves the valve to it, and is said to be taken', async () => {
  const read = await after(120, [signal(40)]);
  expect(read).toMatchObject({ signalPercent: 40, taken: 1 });
  expect(Math.abs(read.travelPercent - 40)).toBeLessThan(2);
  expect(read.otherPsig).toBeUndefined();
});
it('a supply that is vented drives nothing', async () => {
  const read = await after(150, [signal(80), { kind: 'supply', psig: 0 }]);
  expect(read.supplyPsig).toBeLessThan(0.5);
  expect(read.travelPercent).toBeLessThan(1);
});
it('a screw turned while it is read counts like one that was turned in the job before', async () => {
  const turn = (job: BenchJob) =>
    job.send({ kind: 'turn-screw', body: { step: STEP, screw: 'zero screw', by: '1 turn' } });
  const now = await after(120, [signal(50)], benchJob(), turn);
  const before = await after(120, [signal(50)], turn(benchJob()));
  expect(now.turned).toBe(1);
  expect(now.travelPercent).toBeGreaterThan(54);
  expect(Math.abs(now.travelPercent - before.travelPercent)).toBeLessThan(0.3);
});
it('a name that nobody reads under, or somebody else does, sets nothing', () => {
  const open = new OpenControls();
  const { controls, close } = open.begin('mine', ME);
  expect(() => open.send('yours', ME, signal(1))).toThrow();
  expect(() => open.send('mine', 'somebody else', signal(1))).toThrow();
  expect(controls.take()).toEqual([]);
  open.send('mine', ME, signal(2));
  expect(controls.take()).toEqual([signal(2)]);
  close();
  expect(() => open.send('mine', ME, signal(3))).toThrow();
});
