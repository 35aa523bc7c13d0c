import type { Screw } from '../job';
import { formatNumber, quantity, valueIn, type Angle, type Quantity, type Ratio } from '../quantity';
import { CYLINDER_BALANCE } from '../standards';
import { positionerScrews, settingTurns, type Worked } from '../workings';
import type { MeasureAsk } from './measure-ask';
import { meets } from './meets';
import { roundsOf, type Stroked, type StrokedRead } from './stroked';
import { NOTHING_TAUGHT, type Taught } from './screw-effects';
import type { StepFacts } from './task-kind';

/** Which screw to turn next, and why. */
export interface ScrewAdvice {
  readonly screw: Screw;
  /** Clockwise positive; none where nothing is to be turned. */
  readonly turn: Angle;
  /** Where it should come to, once what a turn does is known. */
  readonly comesTo: readonly Quantity[];
  readonly worked: Worked<unknown>;
}

interface Asked {
  readonly asks: readonly MeasureAsk[];
}

/** What to turn next on a valve that is stroked, by what its turns did; undefined while nothing is read, or all is right. */
export function screwAdvice(
  task: Asked,
  live: Stroked,
  facts: StepFacts,
  taught: Taught = NOTHING_TAUGHT,
): ScrewAdvice | undefined {
  const travels = live.reads.filter(({ off }) => off === 'travel');
  const [low, high] = travels;
  if (!low) return undefined;
  if (high) return byBothEnds(low, high, facts, taught);
  return (
    byOne(task, low, facts, taught) ??
    (live.screws.includes('relay nozzle') ? byBalance(live, facts, taught) : undefined)
  );
}

function byBothEnds(
  low: StrokedRead,
  high: StrokedRead,
  facts: StepFacts,
  taught: Taught,
): ScrewAdvice | undefined {
  const readings = roundsOf([low.what, high.what], facts).map(({ turned, read }) => ({
    zero: turned['zero screw'] ?? 0,
    span: turned['span screw'] ?? 0,
    low: percentOf(read.get(low.what)),
    high: percentOf(read.get(high.what)),
  }));
  if (readings.length === 0) return undefined;
  const worked = positionerScrews.work({
    lowWanted: low.at,
    highWanted: high.at,
    readings,
    ...onLike('spanLow', taught('span screw', low.what)),
    ...onLike('spanHigh', taught('span screw', high.what)),
    ...onLike('zeroLow', taught('zero screw', low.what)),
    ...onLike('zeroHigh', taught('zero screw', high.what)),
  });
  if (!worked.ok || worked.value.result.screw === 'none') return undefined;
  const { screw, turn, low: lowTo, high: highTo } = worked.value.result;
  const comesTo = [lowTo, highTo].flatMap((each) => (each ? [each] : []));
  return { screw, turn, comesTo, worked: worked.value };
}

/** One figure and one screw. */
function byOne(
  { asks }: Asked,
  { what, at }: StrokedRead,
  facts: StepFacts,
  taught: Taught,
): ScrewAdvice | undefined {
  const ask = asks.find((each) => each.what === what);
  const [now, before] = roundsOf([what], facts).slice(-2).reverse();
  const read = now?.read.get(what);
  if (!now || !read || !ask || meets(ask, read)) return undefined;
  return settingOf(
    'zero screw',
    at,
    { ...read, dimension: 'ratio' },
    before?.read.get(what),
    now.turned['zero screw'],
    taught('zero screw', what),
  );
}

/** The mean of both sides against the supply, by the nozzle. */
function byBalance(live: Stroked, facts: StepFacts, taught: Taught): ScrewAdvice | undefined {
  const named = (off: StrokedRead['off']) => live.reads.find((read) => read.off === off)?.what ?? '';
  const sides = [named('driven'), named('other')];
  const supply = facts.on('measured').findLast(({ body }) => body.what === named('supply'))?.body.value;
  const [now, before] = roundsOf(sides, facts).slice(-2).reverse();
  if (!now || !supply) return undefined;
  const share = (read: ReadonlyMap<string, Quantity>): Ratio => {
    const psi = sides.map((what) => gauge(read.get(what)));
    return quantity('ratio', (psi.reduce((sum, each) => sum + each, 0) / 2 / gauge(supply)) * 100, '%');
  };
  const read = share(now.read);
  const wanted = quantity('ratio', CYLINDER_BALANCE.share * 100, '%');
  if (Math.abs(valueIn(read, '%') - valueIn(wanted, '%')) <= CYLINDER_BALANCE.within * 100) return undefined;
  const bySide = sides.flatMap((what) => taught('relay nozzle', what) ?? []);
  const perTurn =
    bySide.length === sides.length
      ? (bySide.reduce((sum, each) => sum + each, 0) / 2 / gauge(supply)) * 100
      : undefined;
  return settingOf(
    'relay nozzle',
    wanted,
    read,
    before && share(before.read),
    now.turned['relay nozzle'],
    perTurn,
  );
}

function settingOf(
  screw: Screw,
  wanted: Ratio,
  read: Ratio,
  before: Quantity | undefined,
  turned: number | undefined,
  /** Percent, on one of its model. */
  perTurn: number | undefined,
): ScrewAdvice | undefined {
  const percent = (share: Quantity) => quantity('ratio', Number(formatNumber(percentOf(share), 4)), '%');
  const worked = settingTurns.work({
    wanted,
    read: percent(read),
    ...(before && turned !== undefined
      ? { before: percent(before), turned: quantity('angle', turned, 'turn') }
      : {}),
    ...onLike('taught', perTurn),
  });
  if (!worked.ok || worked.value.result.verdict === 'fit') return undefined;
  const { turn, perTurn: known } = worked.value.result;
  return { screw, turn, comesTo: known === undefined ? [] : [wanted], worked: worked.value };
}

/** What a turn did on one of its model, in the field that takes it; percent. */
const onLike = <K extends string>(field: K, perTurn: number | undefined): Partial<Record<K, Ratio>> =>
  perTurn === undefined
    ? {}
    : ({ [field]: quantity('ratio', Number(formatNumber(perTurn, 3)), '%') } as Record<K, Ratio>);

const percentOf = (share: Quantity | undefined) =>
  share ? valueIn({ ...share, dimension: 'ratio' }, '%') : Number.NaN;
const gauge = (pressure: Quantity | undefined) =>
  pressure ? valueIn({ ...pressure, dimension: 'gauge pressure' }, 'psig') : Number.NaN;
