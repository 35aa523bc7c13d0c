import {
  commandView,
  instrumentsView,
  jobView,
  liveMessage,
  staleView,
  type InstrumentView,
} from '@dusk-wren/contract';
import { wordProblem } from '@dusk-wren/contract/wording';
import { readCommand, type RawCommand } from '@dusk-wren/core/command';
import {
  commandId,
  personStamp,
  valveOf,
  type Entry,
  type InstrumentKind,
  type JobId,
} from '@dusk-wren/core/job';
import { plan, readyBy, stepOf, summarise, type Plan, type PlannedStep } from '@dusk-wren/core/plan';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { ApiProblem, call, callOr409 } from '../api/client';
import { uploadPhoto } from '../api/photos';
import { JobSync, type Lapsed, type Waiting } from '../sync/job-sync';
import { device } from './device';
import { useSession } from './session';

const AGAIN_MILLISECONDS = 3000;
const LATE_MILLISECONDS = 10_000;
/** Sent so long after it was done that the server's own clock would be wrong about it. */
const isLate = (at: string) => Date.now() - Date.parse(at) > LATE_MILLISECONDS;
const isLost = (error: unknown) => error instanceof ApiProblem && (error.status === 0 || error.status >= 502);

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
  const inLine = computed(() => state.value?.records['job-opened'][0]?.body.came === 'in line');
  const waiting = computed(() => (turn.value, sync.value?.waiting ?? 0));
  const confirmedVersion = computed(() => (turn.value, sync.value?.confirmedLog.length ?? 0));
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
        post: async (base, waiting) => {
          const answer = await post(jobId, base, waiting);
          if (answer.kind === 'signed out') await session.load().catch(() => undefined);
          return answer.kind === 'signed out' ? { kind: 'lost' as const } : answer;
        },
        fetchAfter: async (version) =>
          (await call(`/jobs/${jobId}`, jobView)).entries.filter(({ seq }) => seq > version),
        newId: () => commandId.parse(crypto.randomUUID()),
        now: () => new Date().toISOString(),
        instrument: (wanted) => instruments.value.find((each) => each.id === wanted),
        person: () => personStamp.parse(session.person),
        wait: (milliseconds) => new Promise((done) => setTimeout(done, milliseconds)),
        changed: () => turn.value++,
        keep: (pending) => device.addPending(jobId, session.person?.id ?? '', pending),
        forget: (answered) => device.removePending(answered),
      },
      wordProblem,
    );
    sync.value = here;
    const before = await device.load(jobId, session.person?.id ?? '').catch(() => undefined);
    try {
      await fetchInto(jobId, here);
    } catch (error) {
      if (!before || !isLost(error)) {
        failed.value = error instanceof ApiProblem ? error.message : String(error);
        return;
      }
      instruments.value = [...before.instruments];
      await here.receive(before.log);
      here.lost = true;
    }
    here.resume(before?.pending ?? []);
    if (here.lost) void comeBack(jobId, here);
    else listen(jobId, here);
  }

  async function fetchInto(jobId: JobId, here: JobSync): Promise<void> {
    const [view, shop] = await Promise.all([
      call(`/jobs/${jobId}`, jobView),
      call('/instruments', instrumentsView),
    ]);
    instruments.value = shop.instruments;
    await here.receive(view.entries);
    here.lost = false;
    turn.value++;
    const tag = valveOf(here.state)?.tag ?? '';
    await device.keepLog(jobId, tag, view.entries, shop.instruments).catch(() => undefined);
  }

  /** Opened from what this device kept: tries for the server until it answers, then goes on as usual. */
  async function comeBack(jobId: JobId, here: JobSync): Promise<void> {
    while (sync.value === here) {
      await new Promise((done) => setTimeout(done, AGAIN_MILLISECONDS));
      try {
        await session.load();
        await fetchInto(jobId, here);
        if (sync.value === here) listen(jobId, here);
        return;
      } catch (error) {
        if (!isLost(error)) said.value = error instanceof ApiProblem ? error.message : String(error);
      }
    }
  }

  function listen(jobId: JobId, here: JobSync): void {
    live = new EventSource(`/api/jobs/${jobId}/live?after=${here.state.version}`);
    live.onmessage = (event) => {
      const message = liveMessage.safeParse(JSON.parse(String(event.data)));
      if (message.success) void here.receive(message.data.entries).then(() => keepConfirmed(jobId, here));
    };
  }

  const keepConfirmed = (jobId: JobId, here: JobSync) =>
    device
      .keepLog(jobId, valveOf(here.state)?.tag ?? '', here.confirmedLog, instruments.value)
      .catch(() => undefined);

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
    inLine,
    waiting,
    confirmedVersion,
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

/** A photograph that still lies on this device goes before the command that pins it. */
async function sendKeptPhoto(jobId: JobId, command: unknown): Promise<void> {
  const read = readCommand(command);
  if (!read.ok || read.value.kind !== 'add-photo') return;
  const { photo } = read.value.body;
  const picture = await device.photo(photo).catch(() => undefined);
  if (!picture) return;
  await uploadPhoto(jobId, photo, picture);
  await device.removePhoto(photo);
}

async function post(jobId: JobId, baseVersion: number, { commandId: command, command: body, at }: Waiting) {
  try {
    await sendKeptPhoto(jobId, body);
    const answer = await callOr409(`/jobs/${jobId}/commands`, commandView, staleView, {
      method: 'POST',
      body: { baseVersion, commandId: command, command: body, ...(isLate(at) ? { doneAt: at } : {}) },
    });
    return 'taken' in answer
      ? { kind: 'taken' as const, entries: answer.taken.entries }
      : { kind: 'stale' as const, missed: answer.stale.missed };
  } catch (error) {
    if (!(error instanceof ApiProblem) || isLost(error)) return { kind: 'lost' as const };
    // A page that came back without its token, or a session that ran out: kept, and tried again once that is mended.
    if (error.status === 401 || error.code === 'csrf.missing') return { kind: 'signed out' as const };
    return { kind: 'refused' as const, text: error.message };
  }
}
