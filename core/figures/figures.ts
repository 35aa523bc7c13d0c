import { format, inches, parseQuantity, si, valueIn, type Quantity, type UnitSystem } from '../quantity';
import { readingsOf } from '../calls';
import { BENCH_SET, COUPLED, judgesOf, MATCH } from '../inspection';
import type { JobState } from '../job';
import type { Plan } from '../plan';
import { boltedJoint, makersJointTorque, opensByAir, packedBox, type Valve } from '../valve';
import { CLEAR_OF_STOPS, roundsOf, StepFacts, travelReadAt } from '../task';
import type { Field, RegisteredWorking } from '../workings';

/** A figure of a job, as it would be typed. */
type Figure = Quantity | string | number | undefined;
type Figures = Readonly<Record<string, Figure>>;

/**
 * What a job knows of the fields of a working, by field, as a person would type it: from its plate, its sheet, what was
 * measured last and what was found. A field that it knows nothing of, or that does not take what it knows, is left out.
 */
export function figuresFor(
  working: Pick<RegisteredWorking, 'id' | 'fields'>,
  current: Plan,
  state: JobState,
  system: UnitSystem,
): Record<string, string> {
  const known: Figures = {
    ...everywhere(current.valve, state),
    ...only(working.id, current.valve, state),
    ...judgedBy(working.id, current.valve, state),
  };
  return Object.fromEntries(
    working.fields.flatMap((field): [string, string][] => {
      const text = asTyped(known[field.name], field, system);
      return text === undefined ? [] : [[field.name, text]];
    }),
  );
}

function asTyped(figure: Figure, field: Field, system: UnitSystem): string | undefined {
  if (figure === undefined || figure === '') return undefined;
  const text = typeof figure === 'object' ? format(figure, system) : String(figure);
  switch (field.kind) {
    case 'choice':
      return field.choices.find((each) => each === text);
    case 'quantity':
      return field.dimensions.some((dimension) => parseQuantity(text, dimension).ok) ? text : undefined;
    case 'number':
      return Number.isFinite(Number(text)) ? text : undefined;
    default:
      return text;
  }
}

/** Fields that mean the same in every working. */
function everywhere(valve: Valve, state: JobState): Figures {
  const { features, plate } = valve;
  const joint = boltedJoint(features);
  const box = packedBox(features);
  const measured = (what: string) =>
    state.records.measured.findLast(({ body }) => body.what === what)?.body.value;
  const stem = measured('stem diameter') ?? features.stem.diameter;
  return {
    stem,
    stemDiameter: stem,
    bore: measured('box bore') ?? box?.bore,
    depth: measured('box depth') ?? box?.depth,
    glandEntry: measured('gland entry') ?? box?.glandEntry,
    seatDiameter: 'diameter' in features.seat ? features.seat.diameter : undefined,
    size: valve.nps === undefined ? undefined : `NPS ${valve.nps}`,
    class: valve.pressureClass,
    group: valve.group,
    iron: valve.iron,
    ratedPressure: valve.ratedPressure,
    thread: joint?.thread,
    bolts: joint?.bolts,
    material: joint?.studMaterial,
    setPressure: plate?.setPressure,
    orifice: plate?.orifice,
    area: measured(COUPLED.area),
    travel: measured(COUPLED.travel) ?? measured(MATCH.stroke),
    wantedLoad: measured(COUPLED.load),
    packingFriction: measured(COUPLED.friction),
    friction: measured(COUPLED.friction),
    stopPressure: measured(COUPLED.stop),
    mostAir: measured(COUPLED.most),
    benchLow: plate?.springRange?.low,
    benchHigh: plate?.springRange?.high,
  };
}

/** Fields whose name says too little by itself. */
function only(id: string, valve: Valve, state: JobState): Figures {
  const { features, medium } = valve;
  const seat = 'diameter' in features.seat ? features.seat.diameter : undefined;
  switch (id) {
    case 'seat.contact':
    case 'bluing.read':
      return { diameter: seat };
    case 'actuator.bench-sweep':
      return Object.fromEntries(
        Object.entries(BENCH_SET).map(([name, what]) => [
          name,
          state.records.measured.findLast(({ body }) => body.what === what)?.body.value,
        ]),
      );
    case 'positioner.screws':
      return screwReadings(state);
    case 'actuator.coupling':
    case 'actuator.balance':
      return { action: opensByAir(features) ? 'air to open' : 'air to close' };
    case 'bolting.sequence':
      return { torque: makersJointTorque(valve)?.value };
    case 'stem.runout':
      return { limit: valve.sheet?.figures.stemTir?.value };
    case 'lapping.plan':
      return { damage: deepest(state) };
    case 'rating.pressure':
      return { temperature: medium?.temperature };
    case 'bolting.joint':
    case 'gasket.load':
    case 'gate.thrust':
      return { pressure: medium?.pressure };
    default:
      return {};
  }
}

/** Travel at both signals, round by round, with what was turned in between: a table of the working. */
function screwReadings(state: JobState): Figures {
  const [low, high] = [travelReadAt(CLEAR_OF_STOPS.low), travelReadAt(CLEAR_OF_STOPS.high)];
  const rounds = roundsOf([low, high], new StepFacts(state, '', false));
  if (rounds.length === 0) return {};
  const percent = (read: Quantity | undefined) =>
    read?.dimension === 'ratio' ? `${valueIn({ ...read, dimension: 'ratio' }, '%')} %` : '';
  const rows = rounds.map(({ turned, read }) => ({
    zero: String(turned['zero screw'] ?? 0),
    span: String(turned['span screw'] ?? 0),
    low: percent(read.get(low)),
    high: percent(read.get(high)),
  }));
  return {
    lowWanted: `${CLEAR_OF_STOPS.low} %`,
    highWanted: `${CLEAR_OF_STOPS.high} %`,
    readings: JSON.stringify(rows),
  };
}

/** What a judge has given this working already, where every figure of it was read. */
function judgedBy(id: string, valve: Valve, state: JobState): Figures {
  for (const judge of judgesOf(valve)) {
    const judged = judge.judge(readingsOf(state), valve);
    if (judged?.ok && judged.value.working === id) return judged.value.given;
  }
  return {};
}

/** The deepest mark that was found on a seating face. */
function deepest(state: JobState): Quantity<'length'> | undefined {
  const depths = state.records['finding-made'].flatMap(({ body: { finding } }) =>
    finding.kind === 'seat damage' ? [finding.depth] : [],
  );
  return depths.reduce<Quantity<'length'> | undefined>(
    (most, depth) => (si(depth) > si(most ?? inches(0)) ? depth : most),
    undefined,
  );
}
