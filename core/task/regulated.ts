import type { Screw } from '../job';
import { psig, quantity, valueIn, type GaugePressure, type Time } from '../quantity';
import { settingTurns } from '../workings';
import type { MeasureAsk } from './measure-ask';
import { meets } from './meets';
import { roundsOf } from './stroked';
import type { ScrewAdvice } from './stroked-advice';
import type { StepFacts } from './task-kind';

/** A step that is read off the outlet of a regulator, flowing or shut, each figure after its time. */
export interface Regulated {
  readonly kind: 'regulated';
  readonly wanted: GaugePressure;
  readonly outlet: 'flowing' | 'shut';
  readonly reads: readonly { readonly what: string; readonly after: Time }[];
  readonly screws: readonly Screw[];
}

interface Asked {
  readonly asks: readonly MeasureAsk[];
}

/** How far to turn its screw, by what the last turn did; nothing where it stands within its limit, or has no screw here. */
export function regulatedAdvice(
  { asks }: Asked,
  { reads, screws, wanted }: Regulated,
  facts: StepFacts,
): ScrewAdvice | undefined {
  const [[read], [screw]] = [reads, screws];
  const ask = asks.find(({ what }) => what === read?.what);
  if (!read || !screw || !ask) return undefined;
  const [now, before] = roundsOf([read.what], facts).slice(-2).reverse();
  const value = now?.read.get(read.what);
  if (!now || !value || meets(ask, value)) return undefined;
  const was = before?.read.get(read.what);
  const turned = now.turned[screw];
  const worked = settingTurns.work({
    wanted: gauge(wanted),
    read: gauge(value),
    ...(was && turned !== undefined ? { before: gauge(was), turned: quantity('angle', turned, 'turn') } : {}),
  });
  if (!worked.ok || worked.value.result.verdict === 'fit') return undefined;
  const { turn, perTurn } = worked.value.result;
  return { screw, turn, comesTo: perTurn === undefined ? [] : [wanted], worked: worked.value };
}

const gauge = (pressure: Parameters<typeof valueIn>[0]): GaugePressure =>
  psig(valueIn({ ...pressure, dimension: 'gauge pressure' }, 'psig'));
