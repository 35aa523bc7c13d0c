import type { Screw } from '../job';
import { psig, quantity, valueIn, type GaugePressure, type Quantity } from '../quantity';
import { settingTurns } from '../workings';
import type { MeanOf } from './measure-ask';
import { meets } from './meets';
import { meansOf } from './means';
import { roundsOf } from './stroked';
import { NOTHING_TAUGHT, type Taught } from './screw-effects';
import type { ScrewAdvice } from './stroked-advice';
import type { StepFacts } from './task-kind';

/** Where a sweep up and down meets the ends of the travel, in the order in which it does. */
export const SWEPT_ENDS = ['startsUp', 'endsUp', 'endsDown', 'startsDown'] as const;
export type SweptEnd = (typeof SWEPT_ENDS)[number];

/** A step that is read by sweeping air straight into an actuator, up and down again. */
export interface Swept {
  readonly kind: 'swept';
  /** The figure that each of them is. */
  readonly reads: Readonly<Record<SweptEnd, string>>;
  readonly screws: readonly Screw[];
  /** As far up as the air is taken. */
  readonly most: GaugePressure;
}

interface Asked {
  readonly means?: readonly MeanOf[];
}

/**
 * How far to turn the adjuster, by what its last turn did. It moves both ends alike, so that it is turned by the mean of
 * both; nothing is advised where both are right, or where no adjuster helps: their span is another.
 */
export function sweptAdvice(
  task: Asked,
  live: Swept,
  facts: StepFacts,
  taught: Taught = NOTHING_TAUGHT,
): ScrewAdvice | undefined {
  const [screw] = live.screws;
  const [now, before] = roundsOf(Object.values(live.reads), facts).slice(-2).reverse();
  if (!now || !screw) return undefined;
  const means = meansOf(task, now.read);
  if (means.length < 2 || means.every(({ mean, value }) => meets(mean, value))) return undefined;
  const wanted = middle(means.map(({ mean }) => aimOf(mean)));
  const read = middle(means.map(({ value }) => value));
  if (wanted === undefined || read === undefined) return undefined;
  const was = before && middle(meansOf(task, before.read).map(({ value }) => value));
  const turned = now.turned[screw];
  const onLike = Object.values(live.reads).flatMap((what) => taught(screw, what) ?? []);
  const onOneLike = onLike.reduce((sum, each) => sum + each, 0) / onLike.length;
  const worked = settingTurns.work({
    wanted: psig(wanted),
    read: psig(read),
    ...(was !== undefined && turned !== undefined
      ? { before: psig(was), turned: quantity('angle', turned, 'turn') }
      : {}),
    ...(onLike.length > 0 ? { taught: psig(Math.round(onOneLike * 1000) / 1000) } : {}),
  });
  if (!worked.ok || worked.value.result.verdict === 'fit') return undefined;
  const { turn, perTurn } = worked.value.result;
  const comesTo = perTurn === undefined ? [] : means.flatMap(({ mean }) => aimOf(mean) ?? []);
  return { screw, turn, comesTo, worked: worked.value };
}

/** The middle of what a mean must lie between. */
function aimOf({ mustBe }: MeanOf): Quantity | undefined {
  if (mustBe === undefined || mustBe === 'zero' || !('from' in mustBe)) return undefined;
  const { from, to } = mustBe;
  return { ...from, value: (from.value + valueIn(to, from.unit)) / 2 };
}

/** Psi, to a hundredth. */
function middle(values: readonly (Quantity | undefined)[]): number | undefined {
  const psi = values.flatMap((value) =>
    value ? [valueIn({ ...value, dimension: 'gauge pressure' }, 'psig')] : [],
  );
  if (psi.length === 0) return undefined;
  return Math.round((psi.reduce((sum, each) => sum + each, 0) / psi.length) * 100) / 100;
}
