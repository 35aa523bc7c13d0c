import { must } from '../../problem';
import { quantity, type Torque } from '../../quantity';
import { parseThread } from '../../standards';
import { boltingSequence, boltingTorque } from '../../workings';
import { CAUTIONS } from '../cautions';
import {
  draft,
  feature,
  finding,
  rule,
  type Because,
  type Context,
  type Draft,
  type Fragment,
  type Shown,
  type Task,
} from '../draft';

const JOINT = feature('bolted bonnet');

const reason = ({ opening }: Context): Because =>
  opening.failed ? finding('the seat test was over its allowance', opening.failed.seq) : JOINT;

/** A bonnet held by studs and nuts on a crushed gasket: marked, slackened, lifted, and bolted up again. */
export const boltedBonnet: Fragment = {
  name: 'bolted bonnet',
  openings: 'every',
  compose: (c) =>
    c.condemned && c.opening.number > 1 ? [] : [...strip(c), ...(c.condemned ? [] : rebuild(c))],
};

function strip(c: Context): Draft[] {
  const { id, minutes } = c;
  const common = { stage: 'strip' as const, because: reason(c), provides: [id('stripped')] };
  const again = c.opening.number > 1;
  return [
    ...(again ? [ventedAgain(c)] : [matchMarks(c)]),
    draft({
      ...common,
      id: id('strip.slack'),
      title: 'Slacken gland nuts, then bonnet nuts',
      why: 'Gland first: it takes the packing’s grip off before the joint moves.',
      caution: `${CAUTIONS.slack} ${CAUTIONS.gland}`,
      tools: ['ring spanners'],
      parts: ['gland nuts', 'bonnet studs'],
      minutes: minutes(10),
      after: [again ? id('strip.vent') : 'strip.match-mark'],
    }),
    draft({
      ...common,
      id: id('strip.gland-nuts'),
      title: 'Gland nuts off',
      why: 'Takes the load off the packing so that the stem moves freely.',
      parts: ['gland nuts'],
      minutes: minutes(4),
      after: [id('strip.slack')],
    }),
    draft({
      ...common,
      id: id('strip.bonnet-nuts'),
      title: 'Bonnet nuts off, two opposing last',
      why: 'Two opposing nuts hold the bonnet if anything is still pushing.',
      caution: CAUTIONS.zero,
      parts: ['bonnet studs'],
      minutes: minutes(10),
      after: [id('strip.gland-nuts')],
    }),
    draft({
      ...common,
      id: id('strip.lift'),
      title: 'Lift handwheel and bonnet off as one',
      why: 'The stem and disc come with it; tilted, they scratch the seat.',
      caution: CAUTIONS.lift,
      parts: ['bonnet', 'yoke'],
      tools: ['sling'],
      minutes: minutes(8),
      after: [id('strip.bonnet-nuts')],
    }),
    draft({
      ...common,
      id: id('strip.gasket'),
      title: 'Old gasket out, to scrap',
      why: 'Once crushed it does not seal again.',
      parts: ['bonnet gasket'],
      minutes: minutes(4),
      after: [id('strip.lift')],
    }),
  ];
}

function matchMarks({ minutes, id }: Context): Draft {
  return draft({
    id: 'strip.match-mark',
    stage: 'strip',
    title: 'Match-mark bonnet to body',
    why: 'It goes back the way it ran; nobody remembers how it was clocked.',
    caution: CAUTIONS.zero,
    tools: ['centre punch or paint pen'],
    parts: ['bonnet', 'body'],
    minutes: minutes(3),
    because: JOINT,
    after: ['isolated', 'received'],
    provides: [id('stripped')],
  });
}

function ventedAgain(c: Context): Draft {
  const previous = c.opening.number === 2 ? 'test.seat' : `test.seat@${c.opening.number - 1}`;
  return draft({
    id: c.id('strip.vent'),
    stage: 'strip',
    title: 'Vent the rig and prove zero again',
    why: 'The valve still holds the test pressure on one side.',
    caution: CAUTIONS.zero,
    task: {
      kind: 'measure',
      asks: [
        {
          what: 'pressure at the vent',
          dimension: 'gauge pressure',
          example: '0 psig',
          instrument: 'gauge',
          mustBe: 'zero',
        },
      ],
    },
    minutes: 5,
    because: reason(c),
    after: [previous],
    provides: [c.id('stripped')],
  });
}

function rebuild(c: Context): Draft[] {
  const { id, minutes } = c;
  const common = { stage: 'rebuild' as const, because: reason(c), provides: [id('rebuilt')] };
  return [
    draft({
      ...common,
      id: id('rebuild.gasket'),
      title: `New ${c.valve.features.joint.gasket} gasket on the body`,
      why: 'Both faces clean and dry, the gasket centred in its recess.',
      parts: ['bonnet gasket'],
      consumables: [`bonnet gasket, ${c.valve.features.joint.gasket}`],
      minutes: minutes(5),
      after: [id('rebuild.clean'), id('rebuild.open')],
    }),
    draft({
      ...common,
      id: id('rebuild.bonnet-on'),
      title: 'Bonnet on, disc fully open, marks meeting',
      why: 'Square on the body all the way down; snug the nuts by hand and look at the gap all round.',
      caution: CAUTIONS.discOpen,
      parts: ['bonnet', 'bonnet studs', 'yoke'],
      consumables: ['nickel anti-seize'],
      minutes: minutes(12),
      after: [id('rebuild.gasket'), id('rebuild.open')],
    }),
    draft({
      ...common,
      id: id('rebuild.bolt-up'),
      title: 'Bolt up the bonnet',
      why: 'Crosswise and in passes, so that the gasket is crushed evenly.',
      caution: 'No cheater bar on a torque wrench.',
      tools: ['torque wrench', 'socket'],
      parts: ['bonnet studs'],
      task: boltUp(c),
      minutes: minutes(25),
      after: [id('rebuild.bonnet-on'), 'asked'],
    }),
  ];
}

/** The bolt-up as it will be judged: torque from the maker's sheet, else computed; order and passes by the site. */
function boltUp({ valve, site }: Context): Task {
  const { bolts, thread, studMaterial, makersTorque } = valve.features.joint;
  if (bolts === undefined) return { kind: 'wants', wants: ['bolts'] };
  const torque = makersTorque
    ? fromSheet(makersTorque)
    : computed(thread, studMaterial ?? 'B7', site.nutFactor, site.yieldPercent);
  if (!torque) return { kind: 'wants', wants: ['thread'] };
  const sequence = must(boltingSequence.work({ bolts, passes: site.passes, torque: torque.torque }));
  return {
    kind: 'bolt-up',
    bolts,
    torque: torque.torque,
    passes: [...sequence.result.passes, sequence.result.circularPass],
    lowPercent: site.lowTorquePercent,
    shown: torque.shown,
  };
}

function fromSheet(torque: Torque): { torque: Torque; shown: Shown } {
  return {
    torque,
    shown: {
      steps: [],
      notes: ['Typed once from the sheet on file.'],
      source: { standing: 'maker', name: "Maker's torque sheet" },
    },
  };
}

function computed(
  thread: string | undefined,
  material: 'B7' | Exclude<Context['valve']['features']['joint']['studMaterial'], undefined>,
  nutFactor: number,
  yieldPercent: number,
) {
  const parsed = thread === undefined ? undefined : parseThread(thread);
  if (!parsed?.ok) return undefined;
  const worked = boltingTorque.work({
    thread: parsed.value,
    nutFactor,
    material,
    percentYield: quantity('ratio', yieldPercent, '%'),
  });
  return worked.ok ? { torque: worked.value.result.torque, shown: worked.value } : undefined;
}

/** Lapping or turning the joint faces, when a look said so. */
export const jointFaces: Fragment = {
  name: 'joint faces',
  openings: 'first',
  compose: (c) =>
    (['body', 'bonnet'] as const).flatMap((part) => {
      const call = c.calls.get(part);
      if (c.condemned || call?.verdict !== 'rework') return [];
      const because = finding(`${part}: ${call.reason}`, call.because.at(-1));
      const lap = draft({
        id: `repair.lap-${part}-face`,
        stage: 'repair',
        title: `Lap the joint face of the ${part}`,
        why: 'Figure of eight on a block until the mark is gone.',
        caution: CAUTIONS.compound,
        parts: [part],
        tools: ['lapping block'],
        consumables: ['lapping compound 120', 'lapping compound 240'],
        task: { kind: 'lapping', against: 'a block or lap', grits: [120, 240] },
        minutes: 25,
        because,
        after: [`repair.turn-${part}-face`, 'stripped'],
        provides: ['repaired'],
      });
      if (call.method === 'lap joint face') return [lap];
      if (call.method === 'turn joint face') return [turned(part, because), lap];
      return [otherwise(part, call.method ?? 'clean up', because)];
    }),
};

function turned(part: 'body' | 'bonnet', because: Because): Draft {
  return draft({
    id: `repair.turn-${part}-face`,
    stage: 'repair',
    title: `Turn the joint face of the ${part}`,
    why: 'Too deep to lap: the least cut that cleans it up.',
    caution: CAUTIONS.lathe,
    parts: [part],
    tools: ['lathe'],
    minutes: 60,
    because,
    after: ['stripped'],
    provides: ['repaired'],
  });
}

function otherwise(part: 'body' | 'bonnet', method: string, because: Because): Draft {
  return draft({
    id: `repair.${part}-${method.replaceAll(' ', '-')}`,
    stage: 'repair',
    title: `${part}: ${method}`,
    why: 'Dress it and look again.',
    parts: [part],
    minutes: 15,
    because,
    after: ['stripped'],
    provides: ['repaired'],
  });
}

/** Torque check again after the stack has settled. */
export const settled: Fragment = {
  name: 'settled joint',
  openings: 'every',
  compose: (c) =>
    c.condemned
      ? []
      : [
          draft({
            id: c.id('setup.gland'),
            stage: 'set up',
            title: 'Gland: touch, one turn, stroke three times, touch again',
            why: 'Packing settles with the first strokes; a gland left slack weeps on test.',
            caution: CAUTIONS.gland,
            parts: ['gland', 'gland flange', 'gland nuts'],
            minutes: c.minutes(10),
            because: rule('final gland tightness'),
            after: [c.id('rebuilt')],
            provides: [c.id('set up')],
          }),
        ],
};
