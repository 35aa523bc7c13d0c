import { onStep } from '../../job';
import { inches, phrase, quantity, type Phrase, type Quantity } from '../../quantity';
import { FLANGE_CLASSES, flangeStuds, flangeThread } from '../../standards';
import { endsOf, type Ends, type Valve } from '../../valve';
import { liftingSling } from '../../workings';
import { boltUpFlange } from '../blocks/bolting';
import { settledRound } from '../blocks/taken';
import { CAUTIONS } from '../cautions';
import { feature, draft, type Context, type Draft, type Fragment } from '../draft';
import { ifThere, spelt, stepName, type StepName } from '../relations';
import { SIGNED } from './isolation/steps';

const because = feature('out to the shop and back');
const LOAD = stepName('lift.load');
const MARKS = stepName('lift.marks');
const OUT = stepName('lift.out');
const BLINDS = stepName('lift.blinds');
const BACK = stepName('lift.back');
const FACES = stepName('lift.faces');
const bolted = (side: Side): StepName => stepName('lift.bolt', side);

const SIDES = ['upstream', 'downstream'] as const;
type Side = (typeof SIDES)[number];

const MASS = 'mass of the valve';
const ANGLE = 'angle between the legs';
const BLANKS = 'blinds';

/** Lifted out once every energy is proved gone, and put back once it is tested. */
export const liftOut: Fragment = {
  name: 'lift out',
  openings: 'first',
  compose: (c) => (c.place === 'out and back' ? out(c) : []),
};

export const liftBack: Fragment = {
  name: 'lift back',
  openings: 'afterwards',
  of: ['sound'],
  compose: (c) => (c.place === 'out and back' ? back(c) : []),
};

function out(c: Context): Draft[] {
  const thread = { stage: 'isolate', because, ofTheJob: true, provides: ['isolated'] } as const;
  const flanged = endsOf(c.valve) === 'flanged';
  return [
    draft({
      ...thread,
      name: LOAD,
      title: 'What it weighs, and what the sling takes',
      why: 'From its plate, its drawing or a load cell: two equal legs, centre of mass under the hook. Unequal legs, or a centre off the hook: ask a rigger.',
      caution:
        'Over 90° between the legs ask; over 120° nobody lifts. Never by handwheel, actuator, stem or yoke.',
      tools: ['sling'],
      task: {
        kind: 'measure',
        asks: [
          { what: MASS, dimension: 'mass', example: `${usualMass(c.valve)} kg` },
          {
            what: ANGLE,
            dimension: 'angle',
            example: '60°',
            mustBe: { from: quantity('angle', 0, '°'), to: quantity('angle', 120, '°') },
          },
        ],
      },
      minutes: 10,
      after: [ifThere(SIGNED)],
    }),
    draft({
      ...thread,
      name: MARKS,
      title: 'Mark flow arrow and top against the line',
      why: 'It goes back the way it stood: flow, stem and drains.',
      tools: ['centre punch or paint pen'],
      task: { kind: 'do', writes: 'which way the flow arrow and the stem point' },
      minutes: 3,
      after: [LOAD],
    }),
    draft({
      ...thread,
      name: OUT,
      title: TAKEN_OUT[endsOf(c.valve)],
      why: phrase`${slingWords(c)}${
        flanged
          ? 'The sling first. Slacken the bolts farthest from you, a turn at a time; spring the joint while two opposite bolts still hold it. Nothing comes: the rest out, those two last.'
          : 'The sling first, then the joint.'
      }`,
      caution: `Stand aside of the joint: what is trapped comes out here. ${CAUTIONS.lift}`,
      tools: ['sling', 'spanners'],
      minutes: c.minutes(30),
      after: [MARKS],
    }),
    draft({
      ...thread,
      name: BLINDS,
      title: 'Blank the open ends of the line, tag both, count the blinds',
      why: 'What is counted in is counted out again before pressure.',
      task: { kind: 'measure', asks: [{ what: BLANKS, dimension: 'count', example: '2 pieces' }] },
      minutes: 15,
      after: [OUT],
    }),
  ];
}

const TAKEN_OUT: Readonly<Record<Ends, string>> = {
  flanged: 'Sling takes the weight; flange bolts out; lift it out',
  screwed: 'Sling takes the weight; unions or nipples undone; take it out',
  welded: 'Sling takes the weight; cut it out by the site’s procedure',
};

function back(c: Context): Draft[] {
  const ends = endsOf(c.valve);
  const blinds = taken(c, BLINDS, BLANKS);
  const thread = { stage: 'release', because, ofTheJob: true, provides: ['back in line'] } as const;
  const faces = draft({
    ...thread,
    name: FACES,
    title: 'Line flanges brushed, looked at, not gouged; studs and nut faces lubricated',
    why: phrase`With the lubricant whose nut factor the torque was worked from. They come together by hand: parallel within ${fraction(1, 32)}, holes within ${fraction(1, 16)} (PCC-1, from memory), never pulled together by the studs.`,
    consumables: ['flange gaskets (2)'],
    tools: ['wire brush', 'feeler gauges'],
    minutes: 15,
    after: [BACK],
  });
  const [first, second] = SIDES;
  const bolting = [flangeStep(c, thread, first, FACES), flangeStep(c, thread, second, bolted(first))];
  const fitted = ends === 'flanged' ? [faces, ...bolting] : [];
  return [
    draft({
      ...thread,
      name: BACK,
      title: 'Lift it back: flow arrow and stem by the marks',
      why: JOINED_AGAIN[ends],
      caution: `${CAUTIONS.lift} Rigged until the joint carries it; no fingers between the faces.`,
      tools: ['sling', 'spanners'],
      task: settledRound('flow arrow of the body'),
      minutes: c.minutes(30),
      after: ['tested'],
    }),
    ...fitted,
    draft({
      ...thread,
      name: stepName('lift.blinds-out'),
      title: 'Count the blinds out again',
      why: 'As many as went in: one left in shuts the line.',
      task: {
        kind: 'measure',
        asks: [
          {
            what: BLANKS,
            dimension: 'count',
            example: `${blinds?.value ?? 2} pieces`,
            was: spelt(BLINDS, 1),
            ...(blinds ? { mustBe: { from: blinds, to: blinds } } : {}),
          },
        ],
      },
      minutes: 5,
      after: [fitted.at(-1)?.name ?? BACK],
    }),
  ];
}

const JOINED_AGAIN: Readonly<Record<Ends, string>> = {
  flanged:
    'Two bottom bolts in each flange carry it, two more hold the gasket, new gaskets slid in, then all the others by hand.',
  screwed: 'New sealant on clean threads; the body held by its own flats, never by its bonnet.',
  welded: 'Welded and examined by the site’s procedure, the valve open, its soft parts out or kept cool.',
};

function flangeStep(
  c: Context,
  thread: Pick<Draft, 'stage' | 'because' | 'provides'> & { readonly ofTheJob: true },
  side: Side,
  after: StepName,
): Draft {
  const { nps, pressureClass } = c.valve;
  const flangeClass = FLANGE_CLASSES.find((each) => each === pressureClass);
  const studs = nps !== undefined && flangeClass ? flangeStuds(nps, flangeClass) : undefined;
  const [count, diameter] = studs ?? [];
  const task =
    count !== undefined && diameter !== undefined
      ? boltUpFlange(c, count, flangeThread(diameter))
      : undefined;
  return draft({
    ...thread,
    name: bolted(side),
    title: `Tighten the ${side} flange by its own order`,
    why: task
      ? `${count} studs ${flangeThread(diameter ?? 0)} (ASME B16.5): every click is kept. Bonnet and line joints each have their own torque.`
      : 'Crosswise, by the site’s torque: its flange is not in the table.',
    caution: CAUTIONS.cheater,
    tools: ['torque wrench'],
    ...(task ? { task } : {}),
    minutes: c.minutes(15),
    after: [after],
  });
}

/** A figure that was taken on the way out, which is done once. */
const taken = ({ state }: Context, step: StepName, what: string): Quantity | undefined =>
  onStep(state, 'measured', spelt(step, 1)).findLast(({ body }) => body.what === what)?.body.value;

const fraction = (top: number, bottom: number): Quantity => ({
  ...inches(top / bottom),
  entered: `${top}/${bottom} in`,
});

/** What each leg carries, as soon as mass and angle are known. */
function slingWords(c: Context): Phrase {
  const [mass, angle] = [taken(c, LOAD, MASS), taken(c, LOAD, ANGLE)];
  const read = liftingSling.input.safeParse({ mass, angle, legs: 2 });
  const worked = read.success ? liftingSling.work(read.data) : undefined;
  if (!worked?.ok) return '';
  const { tension, verdict } = worked.value.result;
  return phrase`Each leg carries ${tension}${verdict === 'fit' ? '' : ': a wide angle, ask before lifting'}. `;
}

/** About what a flanged valve of this size and class weighs, kg: an example, never a figure to lift by. */
const usualMass = ({ nps = 2, pressureClass = 300 }: Valve): number =>
  Math.max(5, Math.round(4 * nps ** 2 * Math.sqrt(pressureClass / 150)));
