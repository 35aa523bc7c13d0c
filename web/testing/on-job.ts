import { createPinia, setActivePinia } from 'pinia';
import { createSSRApp, h, type Component } from 'vue';
import { createMemoryHistory, createRouter } from 'vue-router';
import { renderToString } from 'vue/server-renderer';
import { PiniaColada } from '@pinia/colada';
import { jobId, type PersonStamp } from '@dusk-wren/core/job';
import { TECHNICIAN, type BenchJob } from '@dusk-wren/core/testing/bench';
import { useJob } from '../stores/job';
import { useSession } from '../stores/session';

/** The job that the served bench is open on. */
export const JOB = '00000000-0000-4000-8000-00000000aaaa';
const VALVE = '00000000-0000-4000-8000-00000000bbbb';

/** The instruments of the shop that the server would tell of. */
export const GAUGE_SET = {
  id: '00000000-0000-4000-8000-000000000201',
  name: 'Gauge set 1',
  kind: 'gauge set',
  simulated: true,
  byItself: true,
  calibrationDue: '2027-01-01',
  inCalibration: true,
};

/** The component library's fields, of which a test reads the label alone. */
const FIELDS = ['VTextField', 'VSelect', 'VTextarea'];
const Field: Component = {
  inheritAttrs: false,
  setup:
    (_props, { attrs }) =>
    () =>
      h('span', { class: 'field', label: attrs['label'] }),
};

/** What a chart asks of the page before it is drawn: every colour is grey here. */
const ONE_COLOUR = {
  document: { documentElement: {} },
  getComputedStyle: () => ({ getPropertyValue: () => '#888' }),
};

class SilentEvents {
  onmessage: unknown;
  close(): void {
    this.onmessage = undefined;
  }
}

/** A server that answers with this job and nothing else. */
function serverOf(job: BenchJob, person: PersonStamp) {
  const answers: Record<string, unknown> = {
    [`/api/jobs/${JOB}`]: { id: JOB, valveId: VALVE, version: job.state.version, entries: job.log },
    '/api/instruments': { instruments: [GAUGE_SET] },
    '/api/session': { person, csrf: 'token', shop: 'Test Street valve shop' },
    '/api/fault-counts': { counts: [] },
    '/api/store/units': { units: [] },
    '/api/store/kits': { kits: [] },
    [`/api/jobs/${JOB}/recordings`]: { recordings: [], watched: false },
    [`/api/jobs/${JOB}/stock`]: { parts: [], next: null },
    [`/api/week/jobs/${JOB}`]: { readyAt: null, lateMinutes: 0, next: null },
  };
  return (address: string | URL | Request): Promise<Response> => {
    const found = answers[String(address)];
    return Promise.resolve(
      found === undefined
        ? new Response(JSON.stringify({ problem: { code: 'not-found' }, text: 'no' }), { status: 404 })
        : Response.json(found),
    );
  };
}

/** A component as it stands on the bench of an open job, as the markup it makes. */
export async function renderOnJob(
  component: Component,
  props: Record<string, unknown>,
  job: BenchJob,
  person: PersonStamp = TECHNICIAN,
): Promise<string> {
  globalThis.fetch = serverOf(job, person);
  Object.assign(globalThis, { EventSource: SilentEvents, ...ONE_COLOUR });
  const pinia = createPinia();
  setActivePinia(pinia);
  await useSession(pinia).load();
  const bench = useJob(pinia);
  await bench.open(jobId.parse(JOB));
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:rest(.*)*', component: { template: '<i/>' } }],
  });
  const app = createSSRApp(component, props).use(pinia).use(PiniaColada).use(router);
  // A page opens the job itself: nothing is drawn before it is there.
  app.mixin({
    async serverPrefetch() {
      while (!bench.planned) await new Promise((soon) => setTimeout(soon));
    },
  });
  for (const name of FIELDS) app.component(name, Field);
  app.config.warnHandler = () => undefined;
  return (await renderToString(app)).replaceAll('<!--[-->', '').replaceAll('<!--]-->', '');
}
