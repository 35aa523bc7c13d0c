import {
  DRILLS,
  exerciseOf,
  ticketSchema,
  type DrillKind,
  type Marks,
  type Said,
  type Ticket,
} from '@dusk-wren/core/drill';
import { must } from '@dusk-wren/core/problem';
import type { Phrase } from '@dusk-wren/core/quantity';
import { computed, inject, provide, ref, shallowRef, type ComputedRef, type InjectionKey } from 'vue';
import { z } from 'zod';
import { device } from '../stores/device';
import { useDrills } from './drills';

/** What a surface needs of the exercise on it. */
interface OnTheBench {
  readonly ticket: Ticket;
  readonly moves: ComputedRef<readonly unknown[]>;
  readonly over: ComputedRef<boolean>;
  readonly play: (move: unknown) => void;
}
const ON_THE_BENCH: InjectionKey<OnTheBench> = Symbol('the exercise on the bench');

/** An exercise as it was left, to be gone on with after another page or a reload. */
const left = z.object({
  ticket: ticketSchema,
  task: z.uuid().exactOptional(),
  id: z.uuid(),
  moves: z.array(z.unknown()),
  hints: z.int(),
  seconds: z.number(),
});
type Left = z.output<typeof left>;
const LEFT = 'drill in hand';

const isSame = (a: Ticket, b: Ticket) =>
  JSON.stringify(ticketSchema.parse(a)) === JSON.stringify(ticketSchema.parse(b));

/** An exercise of a ticket, as somebody sits at it: their moves, hints and time; marked and kept once it is over. */
export function useSitting(ticket: Ticket, task: string | undefined) {
  const drills = useDrills();
  const sitting = must(DRILLS[ticket.drill].sit(ticket));
  const kept = left.safeParse(device.small(LEFT)).data;
  const goesOn = kept && isSame(kept.ticket, ticket) && kept.task === task;
  const own: Left = goesOn
    ? kept
    : {
        ...{ ticket, id: crypto.randomUUID(), moves: [], hints: 0, seconds: 0 },
        ...(task === undefined ? {} : { task }),
      };
  const moves = shallowRef<readonly unknown[]>(own.moves);
  const hints = ref(own.hints);
  const hint = shallowRef<Phrase>();
  const said = shallowRef<Said | undefined>(sitting.said(own.moves));
  const over = ref(false);
  const marks = shallowRef<Marks>();
  const began = performance.now();
  const seconds = () => Math.round(own.seconds + (performance.now() - began) / 1000);

  function keep(): void {
    const now = { ...own, moves: moves.value, hints: hints.value, seconds: seconds() };
    // What is over is no longer in hand.
    void device.keepSmall(LEFT, over.value ? undefined : now).catch(() => undefined);
  }
  function play(move: unknown): void {
    if (over.value) return;
    moves.value = [...moves.value, move];
    said.value = sitting.said(moves.value);
    hint.value = undefined;
    if (sitting.ended(moves.value)) finish();
    else keep();
  }
  function ask(): void {
    if (over.value || hints.value >= sitting.hints) return;
    hints.value += 1;
    hint.value = sitting.hint(moves.value);
    keep();
  }
  /** Over: marked here, and kept to be marked again by the server. */
  function finish(): void {
    if (over.value) return;
    over.value = true;
    marks.value = must(sitting.mark(moves.value, hints.value));
    keep();
    void drills.record({
      ...{ id: own.id, ticket, moves: [...moves.value], hints: hints.value, seconds: seconds() },
      at: new Date().toISOString(),
      score: marks.value.score,
      ...(task === undefined ? {} : { task }),
    });
  }
  provide(ON_THE_BENCH, {
    ticket,
    moves: computed(() => moves.value),
    over: computed(() => over.value),
    play,
  });
  /** The best moves in words, as each would be answered. */
  const bestWay = (): Phrase[] =>
    sitting.best.flatMap((_, i) => {
      const words = sitting.said(sitting.best.slice(0, i + 1))?.words;
      return words === undefined ? [] : [words];
    });
  return { moves, hints, hint, said, over, marks, ask, finish, bestWay, most: sitting.hints };
}

/** The exercise on the bench, with the types of its kind. */
export function useBench<Exercise, Move, Planted>(kind: DrillKind<Exercise, Move, Planted>) {
  const bench = inject(ON_THE_BENCH);
  if (!bench) throw new Error('no exercise is on the bench');
  const all = z.array(kind.move);
  return {
    ticket: bench.ticket,
    exercise: must(exerciseOf(kind, bench.ticket)),
    moves: computed((): readonly Move[] => all.safeParse(bench.moves.value).data ?? []),
    over: bench.over,
    play: (move: Move) => bench.play(move),
  };
}
