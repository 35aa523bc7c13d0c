import {
  commandView,
  instrumentsView,
  jobView,
  liveMessage,
  staleView,
  type InstrumentView,
} from '@dusk-wren/contract';
import { wordProblem } from '@dusk-wren/contract/wording';
import type { RawCommand } from '@dusk-wren/core/command';
import { commandId, personStamp, type Entry, type InstrumentKind, type JobId } from '@dusk-wren/core/job';
import { plan, readyBy, stepOf, summarise, type Plan, type PlannedStep } from '@dusk-wren/core/plan';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { ApiProblem, call, callOr409 } from '../api/client';
import { JobSync, type Lapsed } from '../sync/job-sync';
import { useSession } from './session';

/** The job that is open on this screen. */
export const useJob = defineStore('job', () => {
  const session = useSession();
  const id = ref<JobId>();
  const sync = shallowRef<JobSync>();
  const turn = ref(0);
  const instruments = shallowRef<InstrumentView[]>([]);
  const failed = ref('');
  const said = ref('');
  const chosen = ref<string>();
  let live: EventSource | undefined;

  const state = computed(() => (turn.value, sync.value?.state));
  const entries = computed<readonly Entry[]>(() => (turn.value, sync.value?.entries ?? []));
  const planned = computed<Plan | undefined>(() => {
    const result = state.value && plan(state.value);
    return result?.ok ? result.value : undefined;
  });
  const summary = computed(() => state.value && summarise(state.value, planned.value));
  const ready = computed(() => summary.value && readyBy(summary.value, new Date().toISOString()));
  const waiting = computed(() => (turn.value, sync.value?.waiting ?? 0));
  const lost = computed(() => (turn.value, sync.value?.lost ?? false));
  const lapsed = computed<Lapsed[]>(() => (turn.value, sync.value?.lapsed ?? []));
  /** The step on the bench: the one chosen while it is open, else the plan's. */
  const inHand = computed<PlannedStep | undefined>(() => {
    const current = planned.value;
    if (!current) return undefined;
    const picked = chosen.value === undefined ? undefined : stepOf(current, chosen.value);
    return picked?.status === 'ready' ? picked : current.inHand;
  });

  async function open(jobId: JobId): Promise<void> {
    close();
    id.value = jobId;
    failed.value = '';
    const here = new JobSync(
      {
        post: (base, command, body) => post(jobId, base, command, body),
        fetchAfter: async (version) =>
          (await call(`/jobs/${jobId}`, jobView)).entries.filter(({ seq }) => seq > version),
        newId: () => commandId.parse(crypto.randomUUID()),
        now: () => new Date().toISOString(),
        instrument: (wanted) => instruments.value.find((each) => each.id === wanted),
        person: () => personStamp.parse(session.person),
        wait: (milliseconds) => new Promise((done) => setTimeout(done, milliseconds)),
        changed: () => turn.value++,
      },
      wordProblem,
    );
    sync.value = here;
    try {
      const [view, shop] = await Promise.all([
        call(`/jobs/${jobId}`, jobView),
        call('/instruments', instrumentsView),
      ]);
      instruments.value = shop.instruments;
      await here.receive(view.entries);
    } catch (error) {
      failed.value = error instanceof ApiProblem ? error.message : String(error);
      return;
    }
    listen(jobId, here);
  }

  function listen(jobId: JobId, here: JobSync): void {
    live = new EventSource(`/api/jobs/${jobId}/live?after=${here.state.version}`);
    live.onmessage = (event) => {
      const message = liveMessage.safeParse(JSON.parse(String(event.data)));
      if (message.success) void here.receive(message.data.entries);
    };
  }

  function close(): void {
    live?.close();
    live = undefined;
    sync.value = undefined;
    chosen.value = undefined;
    said.value = '';
  }

  /** Does a command; answers whether it was taken, and says why not. */
  function act(command: RawCommand): boolean {
    said.value = sync.value?.do(command) ?? '';
    return said.value === '';
  }

  function dismissLapsed(): void {
    if (sync.value) sync.value.lapsed = [];
    turn.value++;
  }

  const instrumentOf = (kind: InstrumentKind) =>
    instruments.value.find((each) => each.kind === kind && each.inCalibration) ??
    instruments.value.find((each) => each.kind === kind);

  return {
    id,
    state,
    entries,
    planned,
    summary,
    ready,
    waiting,
    lost,
    lapsed,
    inHand,
    chosen,
    instruments,
    failed,
    said,
    open,
    close,
    act,
    dismissLapsed,
    instrumentOf,
  };
});

async function post(jobId: JobId, baseVersion: number, command: string, body: RawCommand) {
  try {
    const answer = await callOr409(`/jobs/${jobId}/commands`, commandView, staleView, {
      method: 'POST',
      body: { baseVersion, commandId: command, command: body },
    });
    return 'taken' in answer
      ? { kind: 'taken' as const, entries: answer.taken.entries }
      : { kind: 'stale' as const, missed: answer.stale.missed };
  } catch (error) {
    if (!(error instanceof ApiProblem) || error.status === 0 || error.status >= 502 || error.status === 401)
      return { kind: 'lost' as const };
    return { kind: 'refused' as const, text: error.message };
  }
}
