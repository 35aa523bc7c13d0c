import type { WeekView } from '@dusk-wren/contract/week';
import type { JobId, PersonId } from '@dusk-wren/core/job';
import { differenceOf } from '@dusk-wren/core/schedule';
import type { Remote } from 'comlink';
import { computed, ref, shallowRef, watch, type Ref } from 'vue';
import type { Tried, WeekPlanner } from '../workers/week.worker';
import { keyOf, type Piece } from './rails';
import { momentOf, type ShopWeek } from './week';
import { sayDifference } from './words';

const STEP_MINUTES = 15;

/** Where a piece would be put. */
interface Held {
  readonly job: JobId;
  readonly id: string;
  readonly start: number;
  readonly person: PersonId | undefined;
}

/** A piece that is taken up: where it would lie, what that does to everybody, and how it is put down. */
export function useMoving(view: Ref<WeekView | undefined>, planner: Remote<WeekPlanner>, week: ShopWeek) {
  const held = shallowRef<Held>();
  const tried = shallowRef<Tried>();
  const asking = ref(false);

  const operation = computed(() =>
    view.value?.week.jobs
      .find(({ id }) => id === held.value?.job)
      ?.operations.find(({ id }) => id === held.value?.id),
  );
  /** Who could do it; what somebody has begun may be handed to anybody. */
  const able = computed(() => {
    const skill = operation.value?.skill;
    const can = new Set(
      view.value?.week.people
        .filter(({ skills }) => skill === undefined || skills.includes(skill))
        .map(({ id }) => id),
    );
    return (view.value?.people ?? []).map(({ id }) => id).filter((id) => can.has(id));
  });

  function take({ job, placing: { id, start, person } }: Piece): void {
    const by = view.value?.people.find((each) => each.id === person)?.id;
    [held.value, tried.value] = [{ job: job.id, id, start, person: by }, undefined];
  }
  function leave(): void {
    isLetGo = false;
    [held.value, tried.value] = [undefined, undefined];
  }
  function moveTo(start: number, person: string | undefined): void {
    if (!held.value) return;
    const may = able.value.find((id) => id === person) ?? held.value.person;
    held.value = { ...held.value, start: openAt(start, may), person: may };
  }
  /** A quarter of an hour on or back, over closed hours. */
  function step(by: 1 | -1): void {
    if (held.value) moveTo(held.value.start + by * STEP_MINUTES, held.value.person);
  }
  function toNext(by: 1 | -1): void {
    if (!held.value || able.value.length === 0) return;
    const at = able.value.findIndex((id) => id === held.value?.person);
    moveTo(held.value.start, able.value[(at + by + able.value.length) % able.value.length]);
  }

  /** The open minute at a time, or the next one in the way that it is moved. */
  function openAt(minute: number, person: string | undefined): number {
    const whole = Math.max(0, Math.round(minute / STEP_MINUTES) * STEP_MINUTES);
    const open = view.value?.week.people.find(({ id }) => id === person)?.open;
    if (!open || open.some(([from, to]) => from <= whole && whole < to)) return whole;
    const isBack = held.value !== undefined && whole < held.value.start;
    const inOrder = open.toSorted(([a], [b]) => a - b);
    return isBack
      ? Math.max(0, (inOrder.findLast(([, to]) => to <= whole)?.[1] ?? STEP_MINUTES) - STEP_MINUTES)
      : (inOrder.find(([from]) => from >= whole)?.[0] ?? whole);
  }

  /** It was let go before anybody could read what that does: it lies there at once only where nobody is later for it. */
  let isLetGo = false;
  /** Only the last place that it was held at is answered. */
  let turn = 0;
  watch(held, async (now) => {
    const stands = view.value;
    if (!now || !stands) return;
    const mine = ++turn;
    asking.value = true;
    const answer = await planner.tried(weekWith(stands, now), stands.plan);
    if (mine !== turn) return;
    [tried.value, asking.value] = [answer, false];
    if (isLetGo && answer.plan && differenceOf(stands.week, stands.plan, answer.plan).later.length === 0)
      await put();
    isLetGo = false;
  });

  const told = computed(() => {
    if (!tried.value || !view.value) return [];
    return tried.value.plan
      ? sayDifference(view.value, view.value.plan, tried.value.plan)
      : [`It cannot lie there: ${tried.value.why}`];
  });
  // Not twice: what is being put down is answered first.
  const canPut = computed(() => tried.value?.plan !== undefined && !asking.value && !week.busy.value);

  async function put(): Promise<void> {
    const [now, stands] = [held.value, view.value];
    if (asking.value) isLetGo = true;
    if (!now || !stands || !canPut.value) return;
    const pin = {
      ...{ job: now.job, id: now.id, start: momentOf(stands, now.start) },
      ...(now.person === undefined ? {} : { person: now.person }),
    };
    if (await week.pin(pin)) leave();
  }
  return { held, tried, asking, told, canPut, able, take, leave, moveTo, step, toNext, put };
}

/** The week with a piece held where it would be put, in place of where it was put before. */
function weekWith(view: WeekView, { job, id, start, person }: Held): WeekView['week'] {
  const others = view.week.pinned.filter(
    (each) => keyOf({ job: String(each.job), id: String(each.id) }) !== keyOf({ job, id }),
  );
  return {
    ...view.week,
    jobs: view.week.jobs.map((each) =>
      each.id !== job || person === undefined
        ? each
        : {
            ...each,
            operations: each.operations.map((operation) => {
              if (operation.id !== id || operation.person === undefined) return operation;
              const { person: _, ...rest } = operation;
              return rest;
            }),
          },
    ),
    pinned: [...others, { job, id, start, ...(person === undefined ? {} : { person }) }],
  };
}
