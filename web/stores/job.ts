import {
  instrumentsView,
  jobView,
  liveMessage,
  type InstrumentView,
  type PersonView,
} from '@dusk-wren/contract';
import { wordProblem } from '@dusk-wren/contract/wording';
import type { RawCommand } from '@dusk-wren/core/command';
import {
  commandId,
  openingOf,
  personStamp,
  placeOf,
  valveOf,
  type CommandId,
  type Entry,
  type InstrumentKind,
  type JobId,
  type PersonStamp,
} from '@dusk-wren/core/job';
import {
  handOver,
  plan,
  readyBy,
  stepOf,
  summarise,
  type Plan,
  type PlannedStep,
} from '@dusk-wren/core/plan';
import { useQueryCache } from '@pinia/colada';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { ApiProblem, call } from '../api/client';
import { JobSync } from '../sync/job-sync';
import type { View } from '../sync/view';
import type { Waiting } from '../sync/ports';
import type { WaitingOf } from '../sync/kept-jobs';
import { LiveFeed } from '../sync/live-feed';
import { device } from './device';
import { faultOf } from './fault';
import { knownHere } from './known-here';
import { useJobOnScreen } from './job-on-screen';
import { delayOf, postCommand } from './post-command';
import { usePreferences } from './preferences';
import { useSession } from './session';

const AGAIN_MILLISECONDS = 3000;
const isAway = (error: unknown) => error instanceof ApiProblem && error.isAway;
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
  const preferences = usePreferences();
  const cache = useQueryCache();
  const sync = shallowRef<JobSync>();
  /** The job as the sync last showed it. */
  const view = shallowRef<View>();
  const instruments = shallowRef<InstrumentView[]>([]);
  const failed = ref('');
  const said = ref('');
  const chosen = ref<string>();
  /** Whether what others do is heard as it happens. */
  const live = ref(true);
  /** Whose work on this job waits on this device and cannot go now: that of others, of all where the job cannot be shown. */
  const stillWaiting = shallowRef<WaitingOf[]>([]);
  let feed: LiveFeed | undefined;

  const state = computed(() => view.value?.state);
  const entries = computed<readonly Entry[]>(() => view.value?.entries ?? []);
  const planned = computed<Plan | undefined>(() => {
    const result = state.value && plan(state.value);
    return result?.ok ? result.value : undefined;
  });
  const summary = computed(() => state.value && summarise(state.value, planned.value));
  const ready = computed(() => summary.value && readyBy(summary.value, new Date().toISOString()));
  /** What its valve brought into it from the jobs before. */
  const carried = computed(() => state.value && openingOf(state.value)?.body.carried);
  const inLine = computed(() => state.value !== undefined && placeOf(state.value) !== 'bare');
  /** Parts that are off the valve and lie on the tray. */
  const onTray = computed(
    () =>
      new Set(
        planned.value && state.value ? handOver(planned.value, state.value).tray.map(({ part }) => part) : [],
      ),
  );
  const waiting = computed(() => view.value?.waiting ?? []);
  const unkept = computed(() => view.value?.unkept ?? false);
  const confirmedVersion = computed(() => view.value?.confirmed.length ?? 0);
  /** Why what was entered here is not on the server yet. */
  const delay = computed(() => view.value?.delay);
  const lapsed = computed(() => view.value?.lapsed ?? []);
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
        post: async (base, sent) => {
          const answer = await postCommand(jobId, base, sent);
          if (answer.kind === 'later' && answer.delay.kind === 'sign-in')
            await session.load().catch(() => undefined);
          return answer;
        },
        fetchAfter: async (version) =>
          (await call(`/jobs/${jobId}`, jobView)).entries.filter(({ seq }) => seq > version),
        newId: () => commandId.parse(crypto.randomUUID()),
        now: () => new Date().toISOString(),
        edge: knownHere(cache, () => instruments.value),
        delayOf,
        person: () => personStamp.safeParse(session.person).data,
        wait: pause,
        changed: (next) => {
          if (sync.value === here) view.value = next;
        },
        keep: (pending) => device.addPending(jobId, pending),
        forget: (answered) => device.removePending(answered),
      },
      (problem) => wordProblem(problem, preferences.units),
    );
    sync.value = here;
    view.value = here.view;
    const before = await device.load(jobId).catch(() => undefined);
    try {
      await fetchInto(jobId, here);
    } catch (error) {
      if (!before || !isAway(error)) {
        failed.value = faultOf(error);
        // What waits is kept apart from the log: it is said even where the log cannot be shown.
        stillWaiting.value = await device.waitingByPerson(jobId).catch(() => []);
        return;
      }
      instruments.value = [...before.instruments];
      await here.receive(before.log);
      here.away();
    }
    here.resume(await keptOn(jobId));
    if (here.view.delay?.kind === 'no connection') void comeBack(jobId, here);
    else listen(jobId, here);
  }

  /** What waits here of who is at this screen; of others it is only told that something does. */
  async function keptOn(jobId: JobId): Promise<Waiting[]> {
    const person = personStamp.safeParse(session.person).data;
    stillWaiting.value = (await device.waitingByPerson(jobId).catch(() => [])).filter(
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
    here.back();
    const tag = valveOf(here.view.state)?.tag ?? '';
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
        if (isAway(error) || (error instanceof ApiProblem && error.isAboutSignIn)) continue;
        here.fault(faultOf(error));
        return;
      }
    }
  }

  function listen(jobId: JobId, here: JobSync): void {
    feed = new LiveFeed({
      open: (after) => new EventSource(`/api/jobs/${jobId}/live?after=${after}`),
      version: () => here.view.confirmed.length,
      heard: (data) => void hear(jobId, here, data),
      live: (isLive) => {
        // What waits may go now: the server is there again.
        if (isLive && !live.value) here.retry();
        live.value = isLive;
      },
      refused: () => session.load().catch(() => undefined),
      wait: pause,
    });
  }

  /** What others did: folded in and kept. What this page does not understand is said, and not taken for silence. */
  async function hear(jobId: JobId, here: JobSync, data: string): Promise<void> {
    try {
      await here.receive(liveMessage.parse(JSON.parse(data)).entries);
      const { state: now, confirmed } = here.view;
      await device
        .keepLog(jobId, valveOf(now)?.tag ?? '', confirmed, instruments.value)
        .catch(() => undefined);
    } catch (error) {
      if (!isAway(error)) here.fault(faultOf(error));
    }
  }

  function close(): void {
    feed?.close();
    feed = undefined;
    live.value = true;
    sync.value?.close();
    sync.value = undefined;
    view.value = undefined;
    chosen.value = undefined;
    said.value = '';
  }

  /** Does a command; answers whether it was taken, and says why not. */
  function act(command: RawCommand): boolean {
    said.value = sync.value?.do(command) ?? '';
    return said.value === '';
  }

  /** Why this command would be refused now, in words; nothing when it would be taken. */
  const refusal = (command: RawCommand, signer?: PersonStamp): string =>
    (view.value && sync.value?.refusal(command, signer)) ?? '';

  /** The plan as it would be after this command; nothing when it would be refused. */
  function would(command: RawCommand): Plan | undefined {
    const then = view.value && sync.value?.would(command);
    const result = then && plan(then);
    return result?.ok ? result.value : undefined;
  }

  /**
   * Does a command that is a signature, by the PIN typed for it, of who is here or of who signs at this screen; answers
   * whether it was taken, and says why not.
   */
  async function sign(command: RawCommand, pin: string, other?: PersonView): Promise<boolean> {
    const here = sync.value;
    if (!here) return false;
    const signer = other && personStamp.parse(other);
    said.value = refusal(command, signer);
    if (said.value !== '') return false;
    const id = commandId.parse(crypto.randomUUID());
    try {
      const confirmation = await session.confirm(pin, id, other);
      const signed = { commandId: id, confirmation };
      said.value =
        (signer ? await here.countersign(command, { ...signed, signer }) : here.do(command, signed)) ?? '';
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      said.value = error.isLost
        ? 'A signature wants the connection: the server looks at the PIN. Nothing was signed.'
        : error.message;
    }
    return said.value === '';
  }

  const giveUp = (id: CommandId) => sync.value?.giveUp(id);

  const frame = useJobOnScreen();
  frame.closedBy(close);
  watch(
    () => delay.value?.kind === 'no connection',
    (cutOff) => (frame.isCutOff = cutOff),
  );

  // Signed in again on this page: what waited for that goes.
  watch(
    () => session.person?.id,
    () => sync.value?.retry(),
  );

  const dismissLapsed = () => sync.value?.dismissLapsed();

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
    carried,
    inLine,
    onTray,
    waiting,
    stillWaiting,
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
    would,
    sign,
    giveUp,
    dismissLapsed,
    instrumentOf,
  };
});
