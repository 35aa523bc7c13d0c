import type { PlannedStep } from '@dusk-wren/core/plan';
import type { PressureTest, Stage } from '@dusk-wren/core/job';
import type { EnergyKind } from '@dusk-wren/core/isolation';
import type { Task } from '@dusk-wren/core/task';
import type { PartRole } from '@dusk-wren/core/valve';

/** Where a story stops: a step by what it is, of everything that is said here. */
export interface Where {
  readonly stage?: Stage;
  readonly task?: Task['kind'];
  readonly opening?: number;
  /** A part that it touches, takes off, puts on, or looks at. */
  readonly part?: PartRole;
  readonly off?: PartRole;
  readonly on?: PartRole;
  readonly looksAt?: PartRole;
  readonly tests?: PressureTest;
  /** A point of the isolation, or an energy that it proves gone. */
  readonly point?: string;
  readonly proves?: EnergyKind;
}

export function isThere(
  { stage, task, opening, parts, off, on, isolation }: PlannedStep,
  where: Where,
): boolean {
  const is = <T>(wanted: T | undefined, found: T | undefined) => wanted === undefined || wanted === found;
  const among = (wanted: PartRole | undefined, found: readonly PartRole[]) =>
    wanted === undefined || found.includes(wanted);
  return (
    is(where.stage, stage) &&
    is(where.task, task.kind) &&
    is(where.opening, opening) &&
    among(where.part, parts) &&
    among(where.off, off) &&
    among(where.on, on) &&
    is(where.looksAt, task.kind === 'look' ? task.part : undefined) &&
    is(where.tests, task.kind === 'pressure-test' ? task.test : undefined) &&
    is(where.point, isolation?.is === 'point' ? isolation.point : undefined) &&
    is(where.proves, isolation?.is === 'proof' ? isolation.energy : undefined)
  );
}
