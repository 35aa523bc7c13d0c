import { describe, expect, it } from 'vitest';
import { stemLimit, USUAL_RULES } from '../inspection';
import { say, valueIn } from '../quantity';
import { describeSource } from '../standards';
import { BenchJob, DIAL } from '../testing/bench';
import { bendReadings } from '../testing/bend';
import {
  defaultValve,
  makersGlandTorque,
  makersJointTorque,
  makersSheet,
  makersStemTir,
  type Valve,
} from '.';

const SHEET = {
  model: 'H 7',
  revision: 'C',
  figures: {
    jointTorque: { value: '95 ft-lb', page: '31' },
    glandTorque: { value: '14 ft-lb', page: '32' },
    stemTir: { value: '4 thou', page: '12' },
  },
};
const plated: Valve = { ...defaultValve(), plate: { model: 'H 7' } };
const filed = (valve: Valve = plated, sheet: object = SHEET) =>
  new BenchJob(valve).send({ kind: 'file-makers-sheet', body: { sheet: sheet as typeof SHEET } });

describe('the maker’s sheet (handbook part 3: the maker’s own figure always wins)', () => {
  it('its torque is the bolt-up’s, and says page and revision', () => {
    const task = filed().step('rebuild.bolt-up')?.task;
    if (task?.kind !== 'bolt-up') throw new Error('no bolt-up');
    expect(valueIn(task.torque, 'lbf·ft')).toBeCloseTo(95, 9);
    expect(describeSource(task.shown.source)).toBe("Sheet H 7, revision C, page 31 (maker's sheet)");
  });

  it('without it the torque is computed, and says that', () => {
    const task = new BenchJob(plated).step('rebuild.bolt-up')?.task;
    if (task?.kind !== 'bolt-up') throw new Error('no bolt-up');
    expect(task.shown.source.standing).not.toBe('maker');
    expect(valueIn(task.torque, 'lbf·ft')).not.toBeCloseTo(95, 0);
  });

  it('its limit on the stem wins over the site’s, in the plan and in the call', () => {
    const { valve } = filed().plan();
    expect(stemLimit(valve, USUAL_RULES)).toMatchObject({
      limit: { value: 4, unit: 'thou' },
      source: { standing: 'maker', clause: 'revision C, page 12' },
    });
    const bent = (stemTir: string) => {
      const figures = { stemTir: { value: stemTir, page: '12' } };
      const job = filed(plated, { ...SHEET, figures }).workTo('inspect.runout');
      const readings = bendReadings(2);
      job.send({ kind: 'take-runout', body: { step: 'inspect.runout', readings, readBy: DIAL } });
      return job.plan().calls.get('stem');
    };
    expect(bent('1 thou')).toMatchObject({ verdict: 'renew', source: { standing: 'maker' } });
    expect(bent('9 thou')).toMatchObject({ verdict: 'fit', source: { standing: 'maker' } });
  });

  it('its gland torque is said with its page where the gland is left', () => {
    const words = filed()
      .plan()
      .steps.map(({ title, why }) => `${title} ${say(why, 'US')}`)
      .join(' ');
    expect(words).toMatch(/14 ft-lb \(Sheet H 7, revision C, page 32/);
  });

  it('a later revision replaces the earlier', () => {
    const job = filed().send({
      kind: 'file-makers-sheet',
      body: {
        sheet: {
          model: 'h7',
          revision: 'D',
          figures: { jointTorque: { value: '90 lbf·ft', page: '4' } },
        },
      },
    });
    const { valve } = job.plan();
    expect(makersJointTorque(valve)?.source.clause).toBe('revision D, page 4');
    expect(makersStemTir(valve)).toBeUndefined();
  });

  it('of another model is refused; the same model however it is written is taken', () => {
    const job = new BenchJob(plated);
    const send = (model: string) =>
      job.try({ kind: 'file-makers-sheet', body: { sheet: { ...SHEET, model } } });
    expect(send('H 8')).toMatchObject({ code: 'input.conflict', why: expect.stringContaining('H 7') });
    expect(send('h-7')).toBeUndefined();
  });

  it.each(['0 ft-lb', '-3 ft-lb'])('a torque of %s has no meaning', (value) => {
    const figures = { jointTorque: { value, page: '1' } };
    expect(
      new BenchJob(plated).try({ kind: 'file-makers-sheet', body: { sheet: { ...SHEET, figures } } }),
    ).toMatchObject({ code: 'input.out-of-range', field: 'jointTorque' });
  });

  it.each([
    [{ ...SHEET, figures: {} }],
    [{ ...SHEET, revision: ' ' }],
    [{ ...SHEET, figures: { jointTorque: { value: '95 ft-lb', page: '' } } }],
    [{ ...SHEET, figures: { jointTorque: { value: '95 psi', page: '3' } } }],
    [{ ...SHEET, figures: { paint: { value: '1 in', page: '3' } } }],
  ])('%j is no sheet', (sheet) => {
    expect(makersSheet.safeParse(sheet).success).toBe(false);
  });

  it('is asked for once: filed, the step is done by itself; not at hand, it is passed over', () => {
    expect(filed().step('receive.sheet')?.status).toBe('done');
    const job = new BenchJob(plated).workTo('receive.sheet');
    expect(job.try({ kind: 'do-step', body: { step: 'receive.sheet' } })).toMatchObject({
      code: 'step.wants',
    });
    job.send({ kind: 'do-step', body: { step: 'receive.sheet', notNeeded: true } });
    expect(job.step('receive.sheet')?.status).toBe('done');
  });

  it('a torque typed for one valve alone is the maker’s too, without a page', () => {
    const usual = defaultValve();
    if (usual.features.joint.kind !== 'bolted-bonnet') throw new Error('the default has another joint');
    const typed: Valve = {
      ...usual,
      features: {
        ...usual.features,
        joint: { ...usual.features.joint, makersTorque: { dimension: 'torque', value: 80, unit: 'lbf·ft' } },
      },
    };
    expect(makersJointTorque(typed)).toMatchObject({ value: { value: 80 }, source: { standing: 'maker' } });
    expect(makersGlandTorque(typed)).toBeUndefined();
  });
});
