import { ALL_DRILLS, constructionsFor, DRILLS, LEVELS, ticketFor, type Ticket } from '@dusk-wren/core/drill';
import { CONSTRUCTIONS } from '@dusk-wren/core/valve';
import { PiniaColada } from '@pinia/colada';
import { createPinia } from 'pinia';
import { createSSRApp, h, type Component } from 'vue';
import { createMemoryHistory, createRouter } from 'vue-router';
import { renderToString } from 'vue/server-renderer';
import { describe, expect, it } from 'vitest';
import { wordsOf } from '../testing/render';
import SittingBench from './SittingBench.vue';
import { SURFACES } from './surfaces';

const FIELDS = ['VTextField', 'VSelect'];
const Field: Component = {
  inheritAttrs: false,
  setup:
    (_props, { attrs }) =>
    () =>
      h('span', { class: 'field' }, String(attrs['label'])),
};

async function onTheBench(ticket: Ticket): Promise<string> {
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:rest(.*)*', component: { template: '<i/>' } }],
  });
  const app = createSSRApp(SittingBench, { ticket }).use(createPinia()).use(PiniaColada).use(router);
  for (const name of FIELDS) app.component(name, Field);
  app.config.warnHandler = () => undefined;
  return wordsOf(await renderToString(app));
}

/** What each bench cannot be without. */
const SHOWS: Readonly<Record<Ticket['drill'], RegExp>> = {
  'comes-off-next': /0 of \d+/,
  'make-it-dead': /Try the gauge on live air/,
  'where-is-the-fault': /0 min spent/,
  'read-the-ring': /No break marked/,
  'straight-or-bent': /may run out by/,
  'bolt-it': /The wrench is not set/,
  'in-the-bag': /The label of the bag says kit/,
  'which-screw': /Not stroked yet/,
  'set-it': /Blowdown asked for/,
  'fit-or-not': /The shop’s limits/,
};

describe('every kind of exercise', () => {
  it('has a bench', () => {
    expect(Object.keys(SURFACES).sort()).toEqual(ALL_DRILLS.map(({ id }) => id).sort());
  });
  it.each(ALL_DRILLS.map(({ id }) => [id] as const))('%s is shown on every construction', async (drill) => {
    for (const construction of constructionsFor(drill)) {
      const words = await onTheBench(ticketFor(drill, 2, 5, construction));
      expect(words).toContain(DRILLS[drill].title);
      expect(words).toContain(CONSTRUCTIONS[construction].name);
      expect(words).toContain('A drill: nothing of it touches a job.');
      expect(words).toMatch(SHOWS[drill]);
    }
  });
  it('says how many hints its level has, and gives nothing away', async () => {
    const words = await Promise.all(
      LEVELS.map((level) => onTheBench(ticketFor('where-is-the-fault', level, 3))),
    );
    expect(words.map((each) => /\((\d) left/.exec(each)?.[1])).toEqual(['3', '2', '1', '0']);
    for (const each of words) expect(each).not.toMatch(/It was:|so it is/);
  });
  it('names of parts are left out at the last level', async () => {
    const words = (level: 1 | 4) => onTheBench(ticketFor('comes-off-next', level, 1, 'gate-wedge'));
    expect(await words(1)).toContain('wheel nut');
    expect(await words(4)).not.toContain('wheel nut');
  });
});
