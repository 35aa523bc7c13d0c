import { DEFER } from '@dusk-wren/core/procedure';
import { describe, expect, it } from 'vitest';
import { defaultValve, type ConstructionId } from '@dusk-wren/core/valve';
import { BenchJob, INSPECTOR, LEAD, TECHNICIAN } from '@dusk-wren/core/testing/bench';
import { bendReadings } from '@dusk-wren/core/testing/bend';
import { renderOnJob } from '../../testing/on-job';
import { attributes, wordsOf } from '../../testing/render';
import HistoryPanel from '../HistoryPanel.vue';
import PartsPanel from '../PartsPanel.vue';
import PlanColumn from '../PlanColumn.vue';
import StepInHand from '../StepInHand.vue';
import SyncSign from '../SyncSign.vue';
import WaysPanel from '../WaysPanel.vue';

/** The step as it stands large on the bench, whatever its task. */
async function inHand(job: BenchJob, id: string, person = TECHNICIAN): Promise<string> {
  const step = job.workTo(id).step(id);
  if (!step) throw new Error(`no step ${id}`);
  return renderOnJob(StepInHand, { step }, job, person);
}
const on = (construction: ConstructionId = 'globe-bolted') => new BenchJob(defaultValve(construction));

describe('the step in hand', () => {
  it.each([
    ['receive.plate', /Check the nameplate against the job .*costs a day/],
    ['diagnose.as-found', /Only where it can still be tried/],
    ['isolate.vent.upstream', /Slowly, standing aside/],
    ['strip.slack', /Loosen slowly, standing aside/],
    ['inspect.runout', /A bent stem leaks through good packing/],
    ['rebuild.gasket', /gasket/i],
    ['release.sign', /closed for good/],
  ])('%s says what, why and with what care', async (id, words) => {
    expect(wordsOf(await inHand(on(), id))).toMatch(words);
  });
  it('a caution stands with its sign, and the first of a stage defers to codes, permit and manual', async () => {
    const cautions = on()
      .plan()
      .steps.filter(({ stage, caution }) => stage === 'strip' && caution);
    for (const [i, { id }] of cautions.slice(0, 3).entries()) {
      const markup = await inHand(on(), id);
      expect(markup, id).toContain('aria-label="Caution"');
      expect(wordsOf(markup).includes(DEFER), id).toBe(i === 0);
    }
  });
  it('what comes off here has its place on the tray', async () => {
    expect(wordsOf(await inHand(on(), 'strip.stem'))).toMatch(/To the tray: T\d+ /);
    // Common practice: a crushed gasket is scrap, and gets no place of its own.
    expect(wordsOf(await inHand(on(), 'strip.gasket'))).toMatch(/To scrap: .*gasket/);
  });
  it('an optional measurement can be passed over, a needed one cannot', async () => {
    expect(wordsOf(await inHand(on(), 'diagnose.as-found'))).toContain('Not taken');
    expect(wordsOf(await inHand(on(), 'isolate.zero.upstream-pressure'))).not.toContain('Not taken');
  });
  it('a decontamination certificate wants its number before it is done', async () => {
    const bare = new BenchJob(defaultValve(), { place: 'bare' });
    expect(attributes(await inHand(bare, 'isolate.decontaminated'), 'label')).toEqual([
      'The number of the decontamination certificate',
    ]);
  });
});

describe('tasks', () => {
  it('a look offers what can be seen, each by its number key', async () => {
    const markup = await inHand(on(), 'inspect.seat');
    expect(markup.match(/role="radio"/g)?.length).toBeGreaterThan(3);
    expect(wordsOf(markup)).toContain('Nothing found');
  });
  it('without a dial on file a runout is read by eye, a place for each hour of the clock', async () => {
    const words = wordsOf(await inHand(on(), 'inspect.runout'));
    expect(words).toContain('read by eye and type it');
    expect(words).toContain('12 · 1 · 2 · 3 · 4 · 5 · 6 · 7 · 8 · 9 · 10 · 11 ·');
  });
  it('a bolt-up says which bolt, which pass and to what torque', async () => {
    const words = wordsOf(await inHand(on(), 'rebuild.bolt-up'));
    expect(words).toMatch(/lbf·ft/);
    expect(words).toMatch(/25 %/);
  });
  it('a hold is released by an inspector alone', async () => {
    expect(wordsOf(await inHand(on(), 'hold.contact'))).toContain('It takes an inspector');
    expect(wordsOf(await inHand(on(), 'hold.contact', INSPECTOR))).toContain(
      'I have seen it: release the hold',
    );
  });
  it('a settings step at set-up shows what was and the difference', async () => {
    const job = on('regulator-self-acting').workTo('setup.settings');
    job.send({
      kind: 'take-measurement',
      body: {
        step: 'setup.settings',
        what: 'height of the adjusting screw',
        value: '1.75 in',
        readBy: 'hand',
      },
    });
    const step = job.step('setup.settings');
    const words = wordsOf(await renderOnJob(StepInHand, { step }, job));
    expect(words).toContain('was 1.5 in');
    expect(words).toContain('+0.25 in');
  });
  it('a reading that is not zero says so, and that nothing is opened', async () => {
    const job = on().workTo('isolate.zero.upstream-pressure');
    job.send({
      kind: 'take-measurement',
      body: {
        step: 'isolate.zero.upstream-pressure',
        what: 'pressure upstream',
        value: '41 psig',
        readBy: 'hand',
      },
    });
    const step = job.step('isolate.zero.upstream-pressure');
    const markup = await renderOnJob(StepInHand, { step }, job);
    expect(wordsOf(markup)).toContain('Not at zero: 41 psig');
    expect(markup).toContain('role="alert"');
  });
});

describe('the plan beside it', () => {
  it('folds up what is done and lets what waits wait, dashed', async () => {
    const job = on().workTo('strip.slack');
    const markup = await renderOnJob(PlanColumn, {}, job);
    expect(wordsOf(markup)).toMatch(/\d+ steps before this/);
    expect(markup).toMatch(/class="[^"]*waits/);
    expect(markup).toContain('id="step-strip.gland-nuts"');
  });
  it('a step that a finding put there says which', async () => {
    const job = on().workTo('inspect.runout');
    const readings = bendReadings(9);
    job.send({ kind: 'take-runout', body: { step: 'inspect.runout', readings, readBy: 'hand' } });
    expect(wordsOf(await renderOnJob(PlanColumn, {}, job))).toMatch(/because stem: renew/);
  });
  it('signed, it says so and leads to the paper', async () => {
    const markup = await renderOnJob(PlanColumn, {}, on().workTo('nothing'));
    expect(wordsOf(markup)).toContain('The certificate is signed.');
  });
});

describe('panels', () => {
  it('history has every entry, its person and its time', async () => {
    const job = on().workTo('strip.slack');
    const words = wordsOf(await renderOnJob(HistoryPanel, {}, job));
    expect(words).toContain('Match-mark bonnet to body');
    expect(words).toContain(LEAD.name.split(' ')[0] ?? '');
  });
  it('parts are numbered as on the drawing, each with its call', async () => {
    const job = on().workTo('inspect.seat');
    const words = wordsOf(await renderOnJob(PartsPanel, { picked: 'bonnet gasket' }, job));
    expect(words).toContain('bonnet gasket');
    expect(words).toContain('renew');
  });
  it('ways of working name each school with what it gives up', async () => {
    const words = wordsOf(await renderOnJob(WaysPanel, {}, on()));
    expect(words).toContain('How the blue is taken');
    expect(words).toMatch(/smears a thick film/);
  });
  it('with a connection and nothing refused, the sign is silent', async () => {
    expect(wordsOf(await renderOnJob(SyncSign, {}, on()))).toBe('');
  });
});
