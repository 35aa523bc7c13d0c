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
  type CommandId,
  type Entry,
  type InstrumentKind,
  type JobId,
} from '@dusk-wren/core/job';
import { plan, readyBy, stepOf, summarise, type Plan, type PlannedStep } from '@dusk-wren/core/plan';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { ApiProblem, call, callOr409 } from '../api/client';
import { uploadPhoto } from '../api/photos';
import { JobSync, type Delay, type Lapsed, type PostAnswer, type Waiting } from '../sync/job-sync';
import type { WaitingOf } from '../sync/kept-jobs';
import { LiveFeed } from '../sync/live-feed';
import { device } from './device';
import { useSession } from './session';

const AGAIN_MILLISECONDS = 3000;
const LATE_MILLISECONDS = 10_000;
/** Sent so long after it was done that the server's own clock would be wrong about it. */
const isLate = (at: string) => Date.now() - Date.parse(at) > LATE_MILLISECONDS;
const isAway = (error: unknown) => error instanceof ApiProblem && error.isAway;
const NO_CONNECTION: Delay = { kind: 'no connection' };
/** So long, or until the browser has a connection again. */
const pause = (milliseconds: number) =>
  new Promise<void>((done) => {
    const timer = setTimeout(go, milliseconds);
    function go(): void {
      clearTimeout(timer);
      globalThis.removeEventListener?.('online', go);
      done();
    }
    globalThis.addEventListener?.('online', go);
  });

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
  /** Whether what others do is heard as it happens. */
  const live = ref(true);
  /** Whose work on this job waits on this device, but for who is here. */
  const othersWaiting = shallowRef<WaitingOf[]>([]);
  let feed: LiveFeed | undefined;

  const state = computed(() => (turn.value, sync.value?.state));
  const entries = computed<readonly Entry[]>(() => (turn.value, sync.value?.entries ?? []));
  const planned = computed<Plan | undefined>(() => {
    const result = state.value && plan(state.value);
    return result?.ok ? result.value : undefined;
  });
  const summary = computed(() => state.value && summarise(state.value, planned.value));
  const ready = computed(() => summary.value && readyBy(summary.value, new Date().toISOString()));
  const inLine = computed(() => state.value?.records['job-opened'][0]?.body.came === 'in line');
  const waiting = computed(() => (turn.value, sync.value?.waiting ?? []));
  const unkept = computed(() => (turn.value, sync.value?.unkept ?? false));
  const confirmedVersion = computed(() => (turn.value, sync.value?.confirmedLog.length ?? 0));
  /** Why what was entered here is not on the server yet. */
  const delay = computed(() => (turn.value, sync.value?.delay));
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
          if (answer.kind === 'later' && answer.delay.kind === 'sign-in')
            await session.load().catch(() => undefined);
          return answer;
        },
        fetchAfter: async (version) =>
          (await call(`/jobs/${jobId}`, jobView)).entries.filter(({ seq }) => seq > version),
        newId: () => commandId.parse(crypto.randomUUID()),
        now: () => new Date().toISOString(),
        instrument: (wanted) => instruments.value.find((each) => each.id === wanted),
        person: () => personStamp.safeParse(session.person).data,
        wait: pause,
        changed: () => turn.value++,
        keep: (pending) => device.addPending(jobId, pending),
        forget: (answered) => device.removePending(answered),
      },
      wordProblem,
    );
    sync.value = here;
    const before = await device.load(jobId).catch(() => undefined);
    try {
      await fetchInto(jobId, here);
    } catch (error) {
      if (!before || !isAway(error)) {
        failed.value = error instanceof ApiProblem ? error.message : String(error);
        return;
      }
      instruments.value = [...before.instruments];
      await here.receive(before.log);
      here.delay = NO_CONNECTION;
    }
    here.resume(await keptOn(jobId));
    if (here.delay?.kind === 'no connection') void comeBack(jobId, here);
    else listen(jobId, here);
  }

  /** What waits here of who is at this screen; of others it is only told that something does. */
  async function keptOn(jobId: JobId): Promise<Waiting[]> {
    const person = personStamp.safeParse(session.person).data;
    othersWaiting.value = (await device.waitingByPerson(jobId).catch(() => [])).filter(
      (each) => each.person !== person?.id,
    );
    return person ? device.waitingOn(jobId, person).catch(() => []) : [];
  }

  async function fetchInto(jobId: JobId, here: JobSync): Promise<void> {
    const [view, shop] = await Promise.all([
      call(`/jobs/${jobId}`, jobView),
      call('/instruments', instrumentsView),
    ]);
    instruments.value = shop.instruments;
    await here.receive(view.entries);
    here.delay = undefined;
    turn.value++;
    const tag = valveOf(here.state)?.tag ?? '';
    await device.keepLog(jobId, tag, view.entries, shop.instruments).catch(() => undefined);
  }

  /** Opened from what this device kept: tries for the server until it answers, then goes on as usual. */
  async function comeBack(jobId: JobId, here: JobSync): Promise<void> {
    while (sync.value === here) {
      await pause(AGAIN_MILLISECONDS);
      try {
        await session.load();
        await fetchInto(jobId, here);
        here.retry();
        if (sync.value === here) listen(jobId, here);
        return;
      } catch (error) {
        if (!isAway(error)) said.value = error instanceof ApiProblem ? error.message : String(error);
      }
    }
  }

  function listen(jobId: JobId, here: JobSync): void {
    feed = new LiveFeed({
      open: (after) => new EventSource(`/api/jobs/${jobId}/live?after=${after}`),
      version: () => here.confirmedLog.length,
      heard: (data) => {
        const message = liveMessage.safeParse(JSON.parse(data));
        if (message.success) void here.receive(message.data.entries).then(() => keepConfirmed(jobId, here));
      },
      live: (isLive) => {
        // What waits may go now: the server is there again.
        if (isLive && !live.value) here.retry();
        live.value = isLive;
      },
      refused: () => session.load().catch(() => undefined),
      wait: pause,
    });
  }

  const keepConfirmed = (jobId: JobId, here: JobSync) =>
    device
      .keepLog(jobId, valveOf(here.state)?.tag ?? '', here.confirmedLog, instruments.value)
      .catch(() => undefined);

  function close(): void {
    feed?.close();
    feed = undefined;
    live.value = true;
    sync.value?.close();
    sync.value = undefined;
    chosen.value = undefined;
    said.value = '';
  }

  /** Does a command; answers whether it was taken, and says why not. */
  function act(command: RawCommand): boolean {
    said.value = sync.value?.do(command) ?? '';
    return said.value === '';
  }

  /** Why this command would be refused now, in words; nothing when it would be taken. */
  const refusal = (command: RawCommand): string => (turn.value, sync.value?.refusal(command) ?? '');

  /** Does a command that is a signature, by the PIN typed for it; answers whether it was taken, and says why not. */
  async function sign(command: RawCommand, pin: string): Promise<boolean> {
    const here = sync.value;
    if (!here) return false;
    said.value = refusal(command);
    if (said.value !== '') return false;
    const id = commandId.parse(crypto.randomUUID());
    try {
      const confirmation = await session.confirm(pin, id);
      said.value = here.do(command, { commandId: id, confirmation }) ?? '';
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      said.value = error.isLost
        ? 'A signature wants the connection: the server looks at the PIN. Nothing was signed.'
        : error.message;
    }
    return said.value === '';
  }

  const giveUp = (id: CommandId) => sync.value?.giveUp(id);

  // Signed in again on this page: what waited for that goes.
  watch(
    () => session.person?.id,
    () => sync.value?.retry(),
  );

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
    othersWaiting,
    unkept,
    confirmedVersion,
    live,
    delay,
    lapsed,
    inHand,
    chosen,
    instruments,
    failed,
    said,
    open,
    close,
    act,
    refusal,
    sign,
    giveUp,
    dismissLapsed,
    instrumentOf,
  };
});

/** A photograph that still lies on this device goes before the command that pins it. */
async function sendKeptPhoto(jobId: JobId, command: unknown, person: string): Promise<void> {
  const read = readCommand(command);
  if (!read.ok || read.value.kind !== 'add-photo') return;
  const { photo } = read.value.body;
  const picture = await device.photo(photo).catch(() => undefined);
  if (!picture) return;
  await uploadPhoto(jobId, photo, picture, person);
  await device.removePhoto(photo);
}

/** Sends what waits, under the name of whose it is. What the server has not decided on waits on. */
async function post(jobId: JobId, baseVersion: number, waiting: Waiting): Promise<PostAnswer> {
  const { commandId: id, command, person, at, confirmation } = waiting;
  try {
    await sendKeptPhoto(jobId, command, person.id);
    const answer = await callOr409(`/jobs/${jobId}/commands`, commandView, staleView, {
      method: 'POST',
      person: person.id,
      body: {
        baseVersion,
        commandId: id,
        command,
        ...(isLate(at) ? { doneAt: at } : {}),
        ...(confirmation === undefined ? {} : { confirmation }),
      },
    });
    return 'taken' in answer
      ? { kind: 'taken', entries: answer.taken.entries }
      : { kind: 'stale', missed: answer.stale.missed };
  } catch (error) {
    if (error instanceof ApiProblem && error.isDecision) return { kind: 'refused', text: error.message };
    return { kind: 'later', delay: delayOf(error) };
  }
}

function delayOf(error: unknown): Delay {
  if (!(error instanceof ApiProblem))
    return { kind: 'server', text: 'The server answered something that this page does not understand.' };
  if (error.isAboutSignIn) return { kind: 'sign-in' };
  return error.isLost ? NO_CONNECTION : { kind: 'server', text: error.message };
}
