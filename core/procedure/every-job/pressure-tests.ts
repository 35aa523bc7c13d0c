import { API_598, API_6A, FCI_70_2 } from '../../standards';
import { closureOf, moverOf, packedBox } from '../../valve';
import { CAUTIONS } from '../cautions';
import { closureProcedure, type Proof } from '../closures';
import { draft, feature, rule, type Context, type Draft, type Fragment } from '../draft';
import type { Scope } from '../../job';
import type { Task } from '../../task';
import {
  backseatTest,
  closureTest,
  leakClassTest,
  shellTest,
  underGas,
  workingPressureTest,
  type BySize,
} from '../blocks/pressure-tasks';
import { storedEnergy } from '../../workings';
import { pressureAsk } from '../blocks/asks';
import { formatExactly, phrase, type GaugePressure } from '../../quantity';
import { ifThere, stepName } from '../relations';
import { facesOfLeak, putRight, putRightOf } from './leak-put-right';

/** Shell, backseat and seat. */
export const pressureTests: Fragment = {
  name: 'pressure tests',
  openings: 'every',
  compose: tests,
};

/** The hold on the last test. */
export const testHold: Fragment = {
  name: 'hold on the test',
  openings: 'last',
  of: ['sound'],
  compose: hold,
};

const SHELL = stepName('test.shell');
const BACKSEAT = stepName('test.backseat');

function tests(c: Context): Draft[] {
  const { proof } = closureProcedure(c.features);
  if (!proof) return [];
  // What stays in its line goes on no rig; the seats of an oilfield valve are proved between its blocks (API 6A).
  if (c.place === 'in line') return proof.by === 'working pressure' ? [seat(c, proof)] : [];
  return [
    ...facesOfLeak(c),
    ...putRight(c, SHELL),
    shellStep(c, proof),
    ...(c.features.backseat ? [...putRight(c, BACKSEAT), backseat(c)] : []),
    seat(c, proof),
    ...atOperatingPressure(c),
  ];
}

function seat(c: Context, proof: Proof): Draft {
  const control = proof.by === 'class' || moverOf(c.features).stem === 'slides';
  if (control && c.features.tightness) return seatByClass(c);
  switch (proof.by) {
    case 'working pressure':
      return seatTest(c, proof, workingPressureTest(c), API_6A.name);
    case 'size':
      return seatTest(c, proof, closureTest(c, proof), API_598.name);
    case 'class':
      return seatTest(c, UNCLASSED, closureTest(c, UNCLASSED), API_598.name);
  }
}

/** A control valve whose leak class nobody knows is tested as a globe. */
const UNCLASSED: BySize = {
  by: 'size',
  as: 'globe',
  seat: 'metal',
  how: 'Closed, the outlet watched for the whole hold.',
  parts: [],
};

function shellStep(c: Context, proof: Proof): Draft {
  const isWellhead = proof.by === 'working pressure';
  return draft({
    ...usual,
    name: SHELL,
    title: 'Shell test',
    why: isWellhead
      ? 'Body, bonnet and stem seals by the table of its rated pressure, the gate partly open, ends blanked.'
      : closureOf(c.features).duty === 'check'
        ? 'Body, cover and every plug, at one and a half times the rating, filled from the inlet.'
        : `Body, joint${packedBox(c.features) ? ' and gland' : ' and stem seals'}, at one and a half times the rating, valve half open.`,
    task: shellTest(c, proof),
    parts: ['body'],
    minutes: c.minutes(20),
    because: rule(isWellhead ? API_6A.name : API_598.name),
    after: ['set up', 'rebuilt', 'asked', ...putRightOf(c, SHELL)],
    provides: ['tests'],
  });
}

const usual = { stage: 'test', caution: CAUTIONS.pressure, tools: ['test rig'] } as const;

function backseat(c: Context): Draft {
  return draft({
    ...usual,
    name: BACKSEAT,
    title: 'Backseat test',
    why: 'Fully open, gland slack: the backseat alone holds. Light torque is enough: the pressure helps it.',
    parts: c.has('bonnet') ? ['stem', 'bonnet'] : ['stem', 'bonnet chamber'],
    task: backseatTest(c),
    minutes: c.minutes(10),
    because: feature('has a backseat'),
    after: [SHELL, ...putRightOf(c, BACKSEAT)],
    provides: ['tests'],
  });
}

function seatTest(
  c: Context,
  { how, parts }: Pick<BySize, 'how' | 'parts'>,
  task: Task,
  standard: string,
): Draft {
  return draft({
    ...usual,
    ...(c.place === 'in line' ? { tools: ['hand pump and test gauge'] } : {}),
    name: stepName('test.seat'),
    title: 'Seat test',
    why: how,
    parts: parts.filter(c.has),
    task,
    minutes: c.minutes(15),
    because: rule(standard),
    after: [ifThere(SHELL), ifThere(BACKSEAT), 'set up', 'rebuilt', 'asked'],
    provides: ['tests', 'seat tested'],
  });
}

function seatByClass(c: Context): Draft {
  const { tightness } = c.features;
  return draft({
    ...usual,
    name: stepName('test.seat'),
    title: `Seat test, class ${tightness?.class ?? 'IV'}`,
    why: 'Closed by the actuator at its own signal, never by hand; the outlet watched.',
    parts: (['plug', 'ball', 'vane', 'disc', 'seat ring', 'cartridge'] as const).filter(c.has),
    task: leakClassTest(c),
    minutes: c.minutes(15),
    because: rule(FCI_70_2.name),
    after: [SHELL, ifThere(BACKSEAT)],
    provides: ['tests', 'seat tested'],
  });
}

/** At what it works with, by nitrogen, where somebody wants it tight there: what gas stores is said before it is let in. */
function atOperatingPressure(c: Context): Draft[] {
  const pressure = c.valve.medium?.pressure;
  const { volume } = underGas(c.valve.nps);
  if (!c.features.tightness || !pressure || !volume) return [];
  const worked = storedEnergy.work({ pressure, volume });
  if (!worked.ok) return [];
  const { energy, minimumDistance } = worked.value.result;
  return [
    draft({
      ...usual,
      name: stepName('test.operating'),
      title: 'Tight at its operating pressure: nitrogen, a tube in water',
      why: phrase`${pressure} of nitrogen in about ${volume} stores ${energy}: everybody ${minimumDistance} off, or behind a barrier that the site has passed for it. A bubble of the tube ¼ in × 1/32 in is about 0.15 mL. No standard allows a figure here: it is noted, and the owner decides.`,
      optional: 'only where tight shut-off is wanted at its own pressure',
      tools: ['test rig', 'bubble tube'],
      parts: (['plug', 'ball', 'vane', 'disc', 'seat ring', 'cartridge'] as const).filter(c.has),
      task: {
        kind: 'measure',
        asks: [
          {
            ...pressureAsk('nitrogen held', formatExactly(pressure)),
            mustBe: { from: atLeast(pressure), to: pressure },
          },
          { what: 'leak at that pressure', dimension: 'flow', example: '0 mL/min', orNought: true },
        ],
        shown: worked.value,
      },
      minutes: c.minutes(15),
      because: feature('has a leak class, and a pressure that it works at'),
      after: [stepName('test.seat')],
      provides: ['tests'],
    }),
  ];
}
/** Less than this share of it is another pressure. */
const SHORT_OF = 0.95;
const atLeast = (pressure: GaugePressure): GaugePressure => ({
  ...pressure,
  value: SHORT_OF * pressure.value,
});

/** Scopes whose plan keeps the test of the seat. */
const SEATED: readonly Scope[] = ['overhaul', 'trim', 'check'];

function hold({ features, place, scope }: Context): Draft[] {
  const tested =
    place !== 'in line' && SEATED.includes(scope) && closureProcedure(features).proof !== undefined;
  return [
    draft({
      name: stepName('hold.test'),
      ofTheJob: true,
      stage: 'test',
      title: tested ? 'Hold: witness the seat test' : 'Hold: witness the test',
      why: 'The certificate says that somebody else saw it hold.',
      task: {
        kind: 'hold',
        witness: tested ? 'the seat test and its reading' : 'the test and its readings',
      },
      minutes: 10,
      because: rule('hold point before release'),
      after: ['tests', 'proved in service', 'set up', 'rebuilt'],
      provides: ['tested'],
    }),
  ];
}
