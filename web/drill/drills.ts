import { attemptSent, attemptsAnswer, drillsView } from '@dusk-wren/contract/drills';
import { dueToday, skillsOf, type Done } from '@dusk-wren/core/drill';
import { dayIn, daysAfter, startOfDay } from '@dusk-wren/core/quantity';
import { useEventListener } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { z } from 'zod';
import { ApiProblem, call } from '../api/client';
import { device } from '../stores/device';
import { faultOf } from '../stores/fault';
import { useSession } from '../stores/session';
import { WAITING_DRILLS } from '../stores/waiting-drills';

/** One that was done here and is not sent yet, with what it came to. */
const waiting = attemptSent.extend({ score: z.number() });
export type WaitingAttempt = z.output<typeof waiting>;

const SEEN = 'drills';
const SENT_AT_ONCE = 20;
const post = { method: 'POST' } as const;

/**
 * What whoever is here has done, as the server knew it last, and what was done on this device since: drills go on without
 * a connection, and are sent when there is one.
 */
export const useDrills = defineStore('drills', () => {
  const session = useSession();
  const seen = shallowRef<z.output<typeof drillsView>>();
  const mine = shallowRef<readonly WaitingAttempt[]>([]);
  const problem = ref('');
  const now = ref(new Date());
  let sending: Promise<void> | undefined;

  watch(
    () => session.person?.id,
    () => {
      seen.value = drillsView.safeParse(device.small(SEEN)).data;
      mine.value = z.array(waiting).safeParse(device.small(WAITING_DRILLS)).data ?? [];
    },
    { immediate: true },
  );

  /** Nothing is lost where this device keeps nothing: it stays in the page. */
  const keep = (name: string, value: unknown) => device.keepSmall(name, value).catch(() => undefined);

  async function load(): Promise<void> {
    now.value = new Date();
    problem.value = '';
    await send();
    try {
      seen.value = await call('/drills', drillsView);
      void keep(SEEN, seen.value);
    } catch (error) {
      // What stood here last is enough to go on with.
      if (!(error instanceof ApiProblem && error.isAway && seen.value)) problem.value = faultOf(error);
    }
  }

  /** One that has just been done: kept here first, then sent. */
  async function record(attempt: WaitingAttempt): Promise<void> {
    if (mine.value.some(({ id }) => id === attempt.id)) return;
    mine.value = [...mine.value, attempt];
    now.value = new Date();
    await keep(WAITING_DRILLS, mine.value);
    await load();
  }

  /** Sends what waits, the oldest first. What the server says no to is not asked again; what got no answer stays. */
  async function send(): Promise<void> {
    sending ??= sendAll().finally(() => (sending = undefined));
    return sending;
  }
  async function sendAll(): Promise<void> {
    // After a reload without a connection the server has not said yet who is here: it is asked once.
    let asked = false;
    while (mine.value.length > 0 && session.person) {
      const person = session.person.id;
      const some = mine.value.slice(0, SENT_AT_ONCE);
      const attempts = some.map(({ score: _score, ...attempt }) => attempt);
      try {
        const { kept } = await call('/drills/attempts', attemptsAnswer, {
          ...post,
          person,
          body: { attempts },
        });
        const refused = kept.flatMap((each) => each.refused ?? []);
        if (refused.length > 0) problem.value = `Not kept: ${refused.join(' ')}`;
      } catch (error) {
        if (!asked && error instanceof ApiProblem && error.isAboutSignIn) {
          asked = true;
          await session.load().catch(() => undefined);
          continue;
        }
        if (!(error instanceof ApiProblem && error.isDecision)) return;
        problem.value = faultOf(error);
      }
      const gone = new Set(some.map(({ id }) => id));
      mine.value = mine.value.filter(({ id }) => !gone.has(id));
      await keep(WAITING_DRILLS, mine.value.length > 0 ? mine.value : undefined);
    }
  }
  useEventListener(globalThis.window, 'online', () => void load());

  const done = computed<Done[]>(() => {
    const sent = seen.value?.done ?? [];
    const known = new Set(sent.map(({ id }) => id));
    return [
      ...sent.map((each) => ({ ...each, at: new Date(each.at) })),
      ...mine.value.flatMap(({ id, ticket, score, at }) =>
        known.has(id) ? [] : [{ drill: ticket.drill, level: ticket.level, score, at: new Date(at) }],
      ),
    ];
  });
  const zone = computed(() => seen.value?.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone);
  const today = computed(() => dayIn(now.value.toISOString(), zone.value));
  const dayBegins = computed(() => new Date(startOfDay(today.value, zone.value)));
  const dayEnds = computed(() => new Date(startOfDay(daysAfter(today.value, 1), zone.value)));
  const skills = computed(() => skillsOf(done.value, now.value));
  const begunToday = computed(() => {
    const before = new Set(done.value.filter(({ at }) => at < dayBegins.value).map(({ drill }) => drill));
    const begun = done.value.filter(({ at, drill }) => at >= dayBegins.value && !before.has(drill));
    return new Set(begun.map(({ drill }) => drill)).size;
  });
  const due = computed(() => dueToday(skills.value, dayEnds.value, begunToday.value));
  const tasks = computed(() => {
    const answered = new Set(mine.value.map(({ task }) => task));
    return (seen.value?.tasks ?? []).filter(({ id }) => !answered.has(id));
  });
  return {
    load,
    record,
    problem,
    done,
    skills,
    due,
    tasks,
    dayEnds,
    waiting: computed(() => mine.value.length),
  };
});
