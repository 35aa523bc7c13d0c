import type { StandingCall } from '../../calls';
import { wordReason } from '../../inspection';
import { capital, capitalised, phrase } from '../../quantity';
import { PART_CATALOGUE, partsOf, type PartRole } from '../../valve';
import { arrivalOf, orderOf, slug } from '../blocks/arrival';
import { CAUTIONS } from '../cautions';
import { torqued } from '../blocks/torqued';
import { draft, fromCall, type Context, type Draft, type Fragment } from '../draft';
import { closureProcedure } from '../closures';
import { ifThere, stepName, type StepName } from '../relations';
import { lookOf } from './looks';
import { reaches } from './out-of-scope';
import { isBlued } from './seat-work/contacts';

/** Ordering and receiving what a call renews, fitting it where fitting is work of its own, and small rework. */
export const partRenewal: Fragment = {
  name: 'part renewal',
  openings: 'first',
  compose: (c) =>
    partsOf(c.valve).flatMap(({ role, policy, leadDays }): Draft[] => {
      const call = c.calls.get(role);
      if (!call || policy === 'renew always' || (c.works(role) && !reaches(c, role))) return [];
      if (call.verdict === 'renew') return [...bought(c, role, leadDays, call), ...fitted(c, role, call)];
      return call.verdict === 'rework' ? [...compared(c, role, call), ...reworked(c, role, call)] : [];
    }),
};

function bought(c: Context, part: PartRole, leadDays: number, call: StandingCall): Draft[] {
  const common = { because: fromCall(call), parts: [part], stage: 'repair' as const };
  return [
    draft({
      ...common,
      name: orderOf(part),
      title: `Order ${part}`,
      why: `Usual lead time ${leadDays} working days; the rest of the job goes on meanwhile.`,
      task: { kind: 'order', part, leadDays },
      minutes: 5,
      provides: [],
    }),
    draft({
      ...common,
      name: arrivalOf(part),
      title: `${capital(part)} in, checked against the old one`,
      why: 'Length, thread and material against the part it replaces, before it is needed.',
      task: { kind: 'arrive', part },
      minutes: 5,
      after: [orderOf(part)],
      // What stays in the body is not put back by any step: the rebuild as a whole waits for it.
      provides: part === 'body' || !c.has(part) ? ['repaired'] : [],
    }),
  ];
}

/** Seats that are screwed or pressed into the body and change there. */
const SEATS: readonly PartRole[] = [
  'seat',
  'left seat',
  'right seat',
  'upper seat ring',
  'lower seat ring',
  'port seat',
  'removable seat',
  'nozzle',
];

function fitted(c: Context, part: PartRole, call: StandingCall): Draft[] {
  const common = {
    because: fromCall(call),
    parts: [part],
    stage: 'repair' as const,
    after: [arrivalOf(part), 'stripped'] as const,
  };
  if (SEATS.includes(part) && !closureProcedure(c.features).seatsGoInAtRebuild) {
    return [
      draft({
        ...common,
        name: stepName('fit', slug(part)),
        title: `Old ${part} out, new ${part} in`,
        why: `${part === 'removable seat' ? 'A new gasket under it, greased both sides: dry, it tears. Anti-seize' : 'Anti-seize'} on the thread; look at the body under it for corrosion: no seat seals in a corroded pocket.`,
        tools: ['seat driver'],
        consumables:
          part === 'removable seat'
            ? ['nickel anti-seize', 'grease for the elastomer']
            : ['nickel anti-seize'],
        ...(part === 'nozzle' ? { task: torqued(c, part) } : {}),
        minutes: 30,
        provides: ['seat cut', 'repaired'],
      }),
    ];
  }
  if (part === 'stem bushing') {
    const tacked = c.features.bushing.held === 'tack-welded';
    return [
      draft({
        ...common,
        name: stepName('repair.bushing'),
        provides: ['repaired', 'bushing in'],
        title: tacked
          ? 'Cut the tack, screw the bushing out, new one in'
          : 'Screw the bushing out, new one in',
        why: 'Its two threads differ in pitch: with the bonnet still on, the stem must be turned along with the bushing or both bind.',
        ...(tacked ? { caution: CAUTIONS.weld, tools: ['hacksaw or file'] as const } : {}),
        minutes: 25,
      }),
    ];
  }
  return [];
}

const CUT: readonly string[] = ['reface and lap', 'lathe and lap', 'lap the seat out of the body'];

/** The step that compares repair and renewal of a part, where one does. */
export const comparedOf = (part: PartRole): StepName => stepName(`repair.compare-${slug(part)}`);

/** A seating part that can be had new: both sums before metal is cut. */
function compared(c: Context, part: PartRole, call: StandingCall): Draft[] {
  const stays = partsOf(c.valve).some((each) => each.role === part && each.stays);
  if (c.site.schools.repairOrRenew !== 'compare' || stays || !CUT.includes(call.method ?? '')) return [];
  return [
    draft({
      name: comparedOf(part),
      stage: 'repair',
      title: `Repair or renew the ${part}: compare both sums`,
      why: 'Hours × rate + consumables + the wait for the lathe, against price + days late × their cost + fitting. The working repair.or-renew shows both; overrule the call where new is cheaper.',
      parts: [part],
      optional: 'only where a new one could be had in time',
      minutes: 5,
      because: fromCall(call),
      after: ['stripped', ifThere(lookOf(part))],
      provides: ['seat cut'],
    }),
  ];
}

/** Methods whose work stands in a fragment of its own. */
const ELSEWHERE: readonly string[] = [
  'grind in',
  'reface and lap',
  'lathe and lap',
  'lap joint face',
  'turn joint face',
  'free and clean',
  'turn end for end',
  'turn over',
  'lap on a block',
  'lap the seat out of the body',
  'grind the seat in line',
  'lap against a lap',
  'lap in place',
];

/** Rework that no other fragment takes. */
function reworked(c: Context, part: PartRole, call: StandingCall): Draft[] {
  const { method } = call;
  if (method === undefined || PART_CATALOGUE[part].kind === 'joint') return [];
  // Ground in where it closes on another; else its face is dressed by itself.
  const isDressed = method === 'grind in' && !isBlued(c, part);
  if (ELSEWHERE.includes(method) && !isDressed) return [];
  return [
    draft({
      name: stepName(`repair.${slug(part)}`, method.replaceAll(' ', '-')),
      stage: 'repair',
      title: isDressed ? `Dress the seating face of the ${part} on a lap` : `${capital(part)}: ${method}`,
      why: capitalised(phrase`${wordReason(call.reason)}.`),
      parts: [part],
      minutes: method === 'straighten' ? 60 : 15,
      because: fromCall(call),
      after: ['stripped'],
      provides: part === 'stem' ? ['repaired', 'stem repaired'] : ['repaired'],
    }),
  ];
}
