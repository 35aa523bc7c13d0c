import type { StandingCall } from '../../job';
import { partsOf, type PartRole } from '../../valve';
import { CAUTIONS } from '../cautions';
import { draft, fromCall, type Context, type Draft, type Fragment } from '../draft';

const slug = (part: PartRole) => part.replaceAll(' ', '-');

/** Ordering and receiving what a call renews, fitting it where fitting is work of its own, and small rework. */
export const partRenewal: Fragment = {
  name: 'part renewal',
  openings: 'first',
  compose: (c) => {
    if (c.condemned) return [];
    return partsOf(c.valve).flatMap(({ role, policy, leadDays }): Draft[] => {
      const call = c.calls.get(role);
      if (!call || policy === 'renew always') return [];
      if (call.verdict === 'renew') return [...bought(role, leadDays, call), ...fitted(c, role, call)];
      return call.verdict === 'rework' ? reworked(role, call) : [];
    });
  },
};

function bought(part: PartRole, leadDays: number, call: StandingCall): Draft[] {
  const common = { because: fromCall(call), parts: [part], stage: 'repair' as const };
  return [
    draft({
      ...common,
      id: `order.${slug(part)}`,
      title: `Order ${part}`,
      why: `Usual lead time ${leadDays} working days; the rest of the job goes on meanwhile.`,
      task: { kind: 'order', part, leadDays },
      minutes: 5,
      provides: [],
    }),
    draft({
      ...common,
      id: `arrive.${slug(part)}`,
      title: `${capital(part)} in, checked against the old one`,
      why: 'Length, thread and material against the part it replaces, before it is needed.',
      task: { kind: 'arrive', part },
      minutes: 5,
      after: [`order.${slug(part)}`],
    }),
  ];
}

function fitted(c: Context, part: PartRole, call: StandingCall): Draft[] {
  const common = {
    because: fromCall(call),
    parts: [part],
    stage: 'repair' as const,
    after: [`arrive.${slug(part)}`, 'stripped'],
  };
  if (part === 'seat') {
    return [
      draft({
        ...common,
        id: 'fit.seat',
        title: 'Old seat out, new seat in',
        why: 'Anti-seize on the thread; look at the body under it for corrosion.',
        tools: ['seat driver'],
        minutes: 30,
        provides: ['seat cut'],
      }),
    ];
  }
  if (part === 'stem bushing') {
    const tacked = c.valve.features.bushing.held === 'tack-welded';
    return [
      draft({
        ...common,
        id: 'repair.bushing',
        title: tacked
          ? 'Cut the tack, screw the bushing out, new one in'
          : 'Screw the bushing out, new one in',
        why: 'Its two threads differ in pitch: turn nothing else along with it.',
        ...(tacked ? { caution: CAUTIONS.weld } : {}),
        minutes: 25,
      }),
    ];
  }
  return [];
}

const ELSEWHERE: readonly string[] = [
  'grind in',
  'reface and lap',
  'lathe and lap',
  'lap joint face',
  'turn joint face',
];

/** Rework that no other fragment takes. */
function reworked(part: PartRole, call: StandingCall): Draft[] {
  const { method } = call;
  const elsewhere =
    method === undefined ||
    ELSEWHERE.includes(method) ||
    part === 'body' ||
    part === 'bonnet' ||
    part === 'seat' ||
    part === 'disc';
  if (elsewhere) return [];
  return [
    draft({
      id: `repair.${slug(part)}.${method.replaceAll(' ', '-')}`,
      stage: 'repair',
      title: `${capital(part)}: ${method}`,
      why: call.reason,
      parts: [part],
      minutes: method === 'straighten' ? 60 : 15,
      because: fromCall(call),
      after: ['stripped'],
      provides: ['repaired'],
    }),
  ];
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
