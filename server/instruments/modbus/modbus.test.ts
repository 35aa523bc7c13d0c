import type {
  DriverSettings,
  InstrumentControl,
  InstrumentTrouble,
  ReadingMessage,
} from '@dusk-wren/contract';
import { plan } from '@dusk-wren/core/plan';
import { must } from '@dusk-wren/core/problem';
import { valueIn } from '@dusk-wren/core/quantity';
import { BenchJob } from '@dusk-wren/core/testing/bench';
import { defaultValve } from '@dusk-wren/core/valve';
import { afterEach, beforeAll, describe, expect, it } from 'vitest';
import { filledIn } from '../../demo/device';
import { BenchDevice, MAP } from '../../stand-ins/bench-device';
import { serveRegisters } from '../../stand-ins/modbus-server';
import { workAt } from '../../testing/work-at';
import type { Controls } from '../controls';
import { settingsOf, wrongOfDriver } from '../settings';
import type { Source } from '../source';
import { modbusGauge } from './gauge';
import { modbusGaugeSet } from './gauge-set';
import { encode } from './registers';
import { modbusRig } from './rig';
import { modbusThermometer } from './thermometer';

const open: { close: () => Promise<void> }[] = [];
afterEach(async () => {
  for (const each of open.splice(0)) await each.close();
});

/** A device whose input registers are what `words` says when it is asked. */
async function serve(words: () => Buffer, port?: number) {
  const vector = {
    getMultipleInputRegisters: (from: number, length: number) =>
      Array.from({ length }, (_, i) => words().readUInt16BE(2 * (from + i))),
    getInputRegister: (from: number) => words().readUInt16BE(2 * from),
  };
  const served = await serveRegisters(vector, port);
  open.push(served);
  return served;
}
const float = (value: number) => encode(value, 'float32', 'AB CD');

const NOTHING_SET: Controls = { take: () => [] };
/** As fast as a device answers: nobody waits in a test. */
const FAST = { 'a second': 20, 'frozen after': 0 };
const settled = (source: Source, asked: DriverSettings) => settingsOf(source, { ...FAST, ...asked });

/** What a trial says until it has said enough. */
async function tried(source: Source, asked: DriverSettings, enough: (all: ReadingMessage[]) => boolean) {
  const stop = new AbortController();
  const all: ReadingMessage[] = [];
  for await (const message of source.trial({ settings: settled(source, asked) }, stop.signal)) {
    all.push(message);
    if (enough(all)) stop.abort();
  }
  return all;
}
const troubles = (all: readonly ReadingMessage[]): InstrumentTrouble[] =>
  all.flatMap((each) => (each.kind === 'trouble' ? [each.trouble] : []));

describe('a gauge by Modbus TCP', () => {
  it('reads a float in bar as it is on the wire', async () => {
    const { port } = await serve(() => float(6));
    const [first] = await tried(modbusGauge, { port }, (all) => all.length === 1);
    // 1 bar = 14.5038 psi (NIST SP 811).
    expect(first).toMatchObject({ kind: 'pressure', psig: expect.closeTo(87.0226, 3) });
  });
  it.each<[string, Buffer, DriverSettings]>([
    [
      'a whole number in hundredths',
      encode(-250, 'int16', 'AB CD'),
      { 'pressure: type': 'int16', 'pressure: scale': 0.01 },
    ],
    ['a float with its words swapped', encode(-2.5, 'float32', 'CD AB'), { 'byte order': 'CD AB' }],
    [
      'a current of 4 to 20 mA as its maker scales it',
      encode(800, 'uint16', 'AB CD'),
      { 'pressure: type': 'uint16', 'pressure: scale': 0.00625, 'pressure: offset': -7.5 },
    ],
  ])('reads %s', async (_, words, settings) => {
    const { port } = await serve(() => Buffer.concat([words, Buffer.alloc(4)]));
    const [first] = await tried(modbusGauge, { port, ...settings }, (all) => all.length === 1);
    expect(first).toMatchObject({ kind: 'pressure', psig: expect.closeTo(-2.5 * 14.5038, 2) });
  });
  it('says that the device is lost, and goes on by itself when it answers again', async () => {
    const device = await serve(() => float(6));
    let back = false;
    const all = await tried(modbusGauge, { port: device.port }, (so) => {
      const is = troubles(so).at(-1)?.is;
      if (so.length === 2) void device.close();
      if (is === 'lost' && !back) {
        back = true;
        void serve(() => float(7), device.port);
      }
      return is === 'none' && so.at(-1)?.kind === 'pressure';
    });
    expect(troubles(all)).toEqual([
      { is: 'lost', at: `127.0.0.1:${device.port}`, again: true },
      { is: 'none' },
    ]);
    expect(all.at(-1)).toMatchObject({ psig: expect.closeTo(7 * 14.5038, 2) });
  });
  it('says that nobody is there at all', async () => {
    const { port, close } = await serve(() => float(6));
    await close();
    const [first] = await tried(modbusGauge, { port }, (all) => all.length === 1);
    expect(first).toEqual({ kind: 'trouble', trouble: { is: 'lost', at: `127.0.0.1:${port}`, again: true } });
  });
  it('says which register is not there, and asks no more', async () => {
    const { port } = await serveRegisters(new BenchDevice(() => 0).vector);
    const all = await tried(modbusGauge, { port, 'pressure: register': 700 }, () => false);
    expect(troubles(all)).toEqual([{ is: 'refused', what: 'pressure', register: 700 }]);
  });
  it('takes nothing that is beyond what it reads, nor what is no number', async () => {
    let at = 1e9;
    const { port } = await serve(() => float(at));
    const all = await tried(modbusGauge, { port, 'pressure: most': 100 }, (so) => {
      if (troubles(so).length === 1) at = 50;
      if (so.length === 4) at = Number.NaN;
      return troubles(so).length === 3;
    });
    expect(troubles(all)).toMatchObject([
      { is: 'beyond', most: 100, unit: 'bar g' },
      { is: 'none' },
      { is: 'beyond' },
    ]);
    expect(all.filter(({ kind }) => kind === 'pressure').length).toBeGreaterThan(0);
    expect(all.every((each) => each.kind !== 'pressure' || Math.abs(each.psig - 50 * 14.5038) < 1)).toBe(
      true,
    );
  });
  it('says that it stands still as nothing real does, and takes that back when it moves', async () => {
    let at = 6;
    const { port } = await serve(() => float(at));
    const all = await tried(modbusGauge, { port, 'frozen after': 0.3 }, (so) => {
      if (troubles(so).length === 1) at = 6.01;
      return troubles(so).length === 2;
    });
    expect(troubles(all)).toMatchObject([{ is: 'frozen', what: 'pressure' }, { is: 'none' }]);
  });
});

describe('how a device is set', () => {
  it.each<[DriverSettings, RegExp]>([
    [{ address: '203.0.113.7' }, /own network/],
    [{ address: '169.254.169.254' }, /own network/],
    [{ address: 'plc.example' }, /such as/],
    [{ port: 0 }, /1 to 65535/],
    [{ port: 502.5 }, /whole/],
    [{ 'pressure: unit': 'furlong' }, /one of/],
    [{ 'pressure: register': '7' }, /0 to 65535/],
    [{ colour: 'red' }, /nothing on this driver/],
  ])('is refused where it cannot be so: %j', (settings, why) => {
    expect(wrongOfDriver('Modbus gauge', 'gauge', settings)).toMatchObject([
      { message: expect.stringMatching(why) },
    ]);
  });
  it('is taken where it can', () => {
    const settings = {
      address: '192.168.1.20',
      port: 502,
      'pressure: unit': 'kPa g',
      'pressure: type': 'int16',
    };
    expect(wrongOfDriver('Modbus gauge', 'gauge', settings)).toEqual([]);
  });
});

/** The stand-in of a bench, whose clock runs fifty times faster than ours. */
async function standIn() {
  const device = new BenchDevice(() => (performance.now() / 1000) * 50);
  const served = await serveRegisters(device.vector);
  open.push(served);
  return served.port;
}

/** What reads a step until it has said enough, these controls taken one by one as it answers. */
async function readAt(
  source: Source,
  { job, step, settings }: { job: BenchJob; step: string; settings: DriverSettings },
  enough: (all: ReadingMessage[]) => boolean,
  controls: (all: readonly ReadingMessage[]) => InstrumentControl[] = () => [],
) {
  const stop = new AbortController();
  const all: ReadingMessage[] = [];
  const take = { take: () => controls(all) };
  for await (const message of source.read(workAt(job, step, settled(source, settings)), stop.signal, take)) {
    all.push(message);
    if (enough(all)) stop.abort();
  }
  return all;
}

describe('a gauge set by Modbus TCP', () => {
  const { supplySet, ...gauges } = MAP.gauges;
  const settings = filledIn({ ...gauges, 'supply set to': supplySet });
  const STEP = 'setup.span';
  let job: BenchJob;
  beforeAll(() => {
    job = new BenchJob(defaultValve('control-globe-double-seat')).workTo(STEP);
  });
  it('puts the signal in, and reads that the valve goes there', async () => {
    const port = await standIn();
    let sent = false;
    const all = await readAt(
      modbusGaugeSet,
      { job, step: STEP, settings: { ...settings, port } },
      (so) => so.length === 20,
      () => (sent ? [] : ((sent = true), [{ kind: 'signal', percent: 40 }])),
    );
    const last = all.at(-1);
    expect(last).toMatchObject({ kind: 'bench', taken: 1, signalPercent: 40 });
    expect(last?.kind === 'bench' && Math.abs(last.travelPercent - 40)).toBeLessThan(3);
    expect(troubles(all)).toEqual([]);
  });
  it('takes the signal up to its whole and down again where it is swept', async () => {
    const port = await standIn();
    let sent = false;
    const all = await readAt(
      modbusGaugeSet,
      { job, step: STEP, settings: { ...settings, port } },
      (so) => so.length > 3 && so.at(-1)?.kind === 'bench' && signals(so).at(-1) === 0,
      () => (sent ? [] : ((sent = true), [{ kind: 'sweep', seconds: 2 }])),
    );
    const top = signals(all).indexOf(Math.max(...signals(all)));
    expect(signals(all)[top]).toBeGreaterThan(90);
    expect(signals(all).slice(1, top)).toEqual(
      signals(all)
        .slice(1, top)
        .toSorted((a, b) => a - b),
    );
    expect(signals(all).slice(top)).toEqual(
      signals(all)
        .slice(top)
        .toSorted((a, b) => b - a),
    );
  });
  const signals = (all: readonly ReadingMessage[]) =>
    all.flatMap((each) => (each.kind === 'bench' ? [each.signalPercent] : []));
  it('says that it reads no check by itself', async () => {
    const work = { ...workAt(job, STEP, settled(modbusGaugeSet, settings)), check: 'supply' as const };
    const all: ReadingMessage[] = [];
    for await (const message of modbusGaugeSet.read(work, new AbortController().signal, NOTHING_SET))
      all.push(message);
    expect(troubles(all)).toMatchObject([{ is: 'nothing' }]);
  });
});

describe('a rig by Modbus TCP', () => {
  const settings = filledIn(MAP.rig);
  const plain = new BenchJob(defaultValve('globe-bolted'));
  const test = must(plan(plain.state))?.steps.find(({ task }) => task.kind === 'pressure-test');
  if (test?.task.kind !== 'pressure-test') throw new Error('a globe valve is tested');
  const { task, id } = test;
  const wanted = valueIn(task.pressure, 'bar g');
  const rigs = (all: readonly ReadingMessage[]) => all.flatMap((each) => (each.kind === 'rig' ? [each] : []));

  it('pumps when it is told to, holds, and stops its pump as nobody reads any more', async () => {
    const device = new BenchDevice(() => (performance.now() / 1000) * 4);
    const { port, close } = await serveRegisters(device.vector);
    open.push({ close });
    let sent = false;
    const all = await readAt(
      modbusRig,
      { job: plain, step: id, settings: { ...settings, port } },
      (so) => rigs(so).some(({ phase, held }) => phase === 'holding' && held > 0.3),
      () => (sent ? [] : ((sent = true), [{ kind: 'pump', on: true }])),
    );
    expect(rigs(all)[0]).toMatchObject({ phase: 'rising', held: 0, leaked: 0, rate: 1 });
    expect(rigs(all).at(-1)?.psig).toBeGreaterThanOrEqual(valueIn(task.pressure, 'psig'));
    expect(device.vector.getHoldingRegister(MAP.rig.pump.register)).toBe(0);
  });
  it('that is lost ends its reading: what was set and did not arrive moves nothing when it is found again', async () => {
    const device = new BenchDevice(() => performance.now() / 1000);
    const first = await serveRegisters(device.vector);
    let gone = false;
    const all = await readAt(
      modbusRig,
      { job: plain, step: id, settings: { ...settings, port: first.port } },
      () => false,
      (so) => {
        if (rigs(so).length < 2 || gone) return [];
        gone = true;
        void first.close();
        return [{ kind: 'pump', on: true }];
      },
    );
    expect(troubles(all)).toEqual([{ is: 'lost', at: `127.0.0.1:${first.port}`, again: false }]);
    expect(device.vector.getHoldingRegister(MAP.rig.pump.register)).toBe(0);
  });
  it('counts no leak where it measures none: somebody has to', async () => {
    const { port } = await serve(() => Buffer.concat([float(wanted * 1.02), float(0)]));
    const only = { ...filledIn({ pressure: MAP.rig.pressure }), port };
    const all = await readAt(
      modbusRig,
      { job: plain, step: id, settings: only },
      (so) => rigs(so).length === 4,
    );
    expect(rigs(all).every(({ leaked }) => leaked === null)).toBe(true);
  });
  it('says that it may send another unit than it is set to', async () => {
    // It sends psi; it is set to bar.
    const { port } = await serve(() => Buffer.concat([float(valueIn(task.pressure, 'psig')), float(0)]));
    const only = { ...filledIn({ pressure: MAP.rig.pressure }), 'pressure: most': 10_000, port };
    const all = await readAt(
      modbusRig,
      { job: plain, step: id, settings: only },
      (so) => troubles(so).length > 0,
    );
    expect(troubles(all)).toEqual([{ is: 'unit', what: 'pressure', sends: 'psig', setTo: 'bar g' }]);
  });
});

it('a thermometer by Modbus TCP reads tenths of a degree', async () => {
  const port = await standIn();
  const settings = { port, ...filledIn({ temperature: MAP.temperature }) };
  const [first] = await tried(modbusThermometer, settings, (all) => all.length === 1);
  expect(first?.kind === 'temperature' && Math.abs(first.celsius - 21.4)).toBeLessThan(0.5);
});
