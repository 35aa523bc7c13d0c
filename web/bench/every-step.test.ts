import { describe, expect, it } from 'vitest';
import { say } from '@dusk-wren/core/quantity';
import { CONSTRUCTION_IDS, defaultValve, partsOf } from '@dusk-wren/core/valve';
import { BenchJob, INSPECTOR } from '@dusk-wren/core/testing/bench';
import { renderOnJob } from '../testing/on-job';
import { attributes, wordsOf } from '../testing/render';
import HistoryPanel from './HistoryPanel.vue';
import PartsPanel from './PartsPanel.vue';
import StepInHand from './StepInHand.vue';
import TrayPanel from './TrayPanel.vue';

/** What a screen says when something was forgotten. */
const FORGOTTEN = /undefined|NaN|\[object|Infinity|null/;

describe.each(CONSTRUCTION_IDS)('%s on the bench', (construction) => {
  const job = new BenchJob(defaultValve(construction));

  it('each kind of step it has is shown whole: title, why, what is done, nothing forgotten', async () => {
    const seen = new Set<string>();
    for (const step of job.plan().steps) {
      if (seen.has(step.task.kind)) continue;
      seen.add(step.task.kind);
      const markup = await renderOnJob(StepInHand, { step }, job, INSPECTOR);
      const words = wordsOf(markup);
      expect(words, step.id).toContain(step.title);
      expect(words, step.id).toContain(say(step.why, 'US'));
      if (step.caution) expect(words, step.id).toContain(step.caution);
      expect(words, step.id).not.toMatch(FORGOTTEN);
      // A lock comes off by the hand that hung it: before it hangs there is nothing to press.
      if (step.task.kind !== 'unlock') expect(markup, step.id).toMatch(/<button|<input|class="field"/);
    }
    expect(seen.size).toBeGreaterThan(5);
  });

  it('its parts are all listed, each once, by the number of its balloon', async () => {
    const words = wordsOf(await renderOnJob(PartsPanel, { picked: undefined }, job));
    for (const { name } of partsOf(job.plan().valve)) expect(words).toContain(name);
    expect(words).not.toMatch(FORGOTTEN);
  });

  it('half way, tray and history say what was done, and every picture has words', async () => {
    const half = new BenchJob(defaultValve(construction));
    for (let i = 0; i < 20; i++) {
      const { inHand } = half.plan();
      if (inHand) half.work(inHand);
    }
    const [tray, history] = [
      await renderOnJob(TrayPanel, {}, half),
      await renderOnJob(HistoryPanel, {}, half),
    ];
    for (const markup of [tray, history]) {
      expect(wordsOf(markup)).not.toMatch(FORGOTTEN);
      for (const alt of attributes(markup, 'alt')) expect(alt.length).toBeGreaterThan(0);
    }
    expect(wordsOf(tray)).toContain(`in hand: ${half.plan().inHand?.title ?? ''}`);
  });
});
