import { inches, si } from '../../quantity';
import type { EntryOf, StandingCall } from '../../job';
import { seatContact } from '../../workings';
import { CAUTIONS } from '../cautions';
import {
  draft,
  feature,
  finding,
  fromCall,
  rule,
  type Because,
  type Context,
  type Draft,
  type Fragment,
} from '../draft';
import { look, lookSwivel } from '../looks';

const SEAT = feature('disc on a cone seat');

/** Looking at disc and seat, and the blue line as found. */
export const discAndSeat: Fragment = {
  name: 'disc and seat',
  openings: 'first',
  compose: (c) => {
    const common = {
      stage: 'inspect' as const,
      because: SEAT,
      after: ['inspect.clean'],
      provides: ['inspected'],
    };
    return [
      draft({
        ...common,
        ...lookSwivel(),
        id: 'inspect.swivel',
        title: 'Disc on its stem: does it swivel?',
        why: 'It has to find its own seat; stuck, it closes on one side.',
        minutes: 3,
      }),
      draft({
        ...common,
        ...look('disc'),
        id: 'inspect.disc',
        title: 'Seating face of the disc',
        why: 'The deepest mark decides how it is put right.',
        minutes: 5,
      }),
      draft({
        ...common,
        ...look('seat'),
        id: 'inspect.seat',
        title: 'Seating face of the seat',
        why: 'The deepest mark decides how it is put right.',
        minutes: 5,
      }),
      ...(c.condemned || damaged(c)
        ? []
        : [
            bluing(
              c,
              'inspect.blue',
              'inspect',
              0,
              SEAT,
              ['inspect.disc', 'inspect.seat', 'asked'],
              'inspected',
            ),
          ]),
    ];
  },
};

const damaged = (c: Context): boolean =>
  ['seat', 'disc'].some((part) => isCut(c.calls.get(part === 'seat' ? 'seat' : 'disc')));

const isCut = (call: StandingCall | undefined): boolean =>
  call?.verdict === 'renew' || (call?.verdict === 'rework' && call.method !== 'free and clean');

/** Cutting, grinding in and bluing until the line is closed, for as many rounds as it takes. */
export const seatWork: Fragment = {
  name: 'seat work',
  openings: 'every',
  compose: (c) => (c.condemned ? [] : [...cutting(c), ...rounds(c)]),
};

function cutting(c: Context): Draft[] {
  if (c.opening.number > 1) return [];
  return (['seat', 'disc'] as const).flatMap((part): Draft[] => {
    const call = c.calls.get(part);
    if (call?.verdict !== 'rework') return [];
    const common = {
      stage: 'repair' as const,
      because: fromCall(call),
      parts: [part],
      after: ['stripped', `inspect.${part}`],
      provides: ['repaired', 'seat cut'],
    };
    switch (call.method) {
      case 'lathe and lap':
        return [
          draft({
            ...common,
            id: `repair.lathe-${part}`,
            title: `${part === 'seat' ? 'Seat' : 'Disc'} to the lathe`,
            why: 'Centred within a thousandth, carbide point, fine feed, the least metal that cleans it up.',
            caution: CAUTIONS.lathe,
            tools: ['lathe', 'dial indicator'],
            minutes: 75,
          }),
        ];
      case 'reface and lap':
        return [
          draft({
            ...common,
            id: `repair.reface-${part}`,
            title: `Reface the ${part}`,
            why: 'Feed very slowly and one way only; a uniform bright ring is enough.',
            tools: ['refacing tool'],
            minutes: 30,
          }),
        ];
      case 'free and clean':
        return [
          draft({
            ...common,
            id: `repair.free-${part}`,
            title: `Free the ${part} on its stem`,
            why: 'It must swivel before it is ground in.',
            minutes: 10,
          }),
        ];
      default:
        return [];
    }
  });
}

interface Round {
  number: number;
  bluing: EntryOf<'bluing-checked'> | undefined;
  fit: boolean;
  continuity: number;
}

function rounds(c: Context): Draft[] {
  const start = startOf(c);
  if (!start) return [];
  const drafts: Draft[] = [];
  const past: Round[] = [];
  for (let number = 1; ; number++) {
    const because =
      past.length === 0
        ? start
        : finding('the blue line is not a closed narrow ring yet', past.at(-1)?.bluing?.seq);
    if (isStuck(past, c.site.bluingRoundsBeforeReface)) drafts.push(refaceAgain(c, number, past.at(-1)));
    drafts.push(
      lapping(c, number, because),
      bluing(
        c,
        c.id(`repair.blue#${number}`),
        'repair',
        number,
        because,
        [c.id(`repair.lap#${number}`), 'asked'],
        c.id('repaired'),
      ),
    );
    const round = readRound(c, number);
    if (!round.bluing || round.fit) return drafts;
    past.push(round);
  }
}

/** Why there is seat work at all; undefined while nothing asks for it. */
function startOf(c: Context): Because | undefined {
  if (c.opening.failed) return finding('the seat test was over its allowance', c.opening.failed.seq);
  const cut = (['seat', 'disc'] as const).map((part) => c.calls.get(part)).find(isCut);
  if (cut) return fromCall(cut);
  const asFound = c.state.records['bluing-checked'].findLast(({ body }) => body.step.id === 'inspect.blue');
  return asFound && !verdictOf(c, asFound).fit
    ? finding('blue line as found: broken or wide', asFound.seq)
    : undefined;
}

function readRound(c: Context, number: number): Round {
  const bluing = c.state.records['bluing-checked'].findLast(
    ({ body }) => body.step.id === c.id(`repair.blue#${number}`),
  );
  return bluing ? { number, bluing, ...verdictOf(c, bluing) } : { number, bluing, fit: false, continuity: 0 };
}

function verdictOf(c: Context, { body }: EntryOf<'bluing-checked'>): { fit: boolean; continuity: number } {
  const worked = seatContact.work({
    diameter: body.diameter,
    arcs: body.arcs,
    widest: c.site.widestBlueLine,
  });
  return worked.ok
    ? { fit: worked.value.result.verdict === 'fit', continuity: si(worked.value.result.continuity) }
    : { fit: false, continuity: 0 };
}

/** Less than this much more of the circle is no gain. */
const GAIN = 0.02;

/** The last `limit` rounds since the last refacing all came out broken, and none gained on the first of them. */
function isStuck(past: readonly Round[], limit: number): boolean {
  if (past.length === 0 || past.length % limit !== 0) return false;
  const [first, ...rest] = past.slice(-limit);
  return rest.every((round) => round.continuity <= (first?.continuity ?? 0) + GAIN);
}

function refaceAgain(c: Context, number: number, last: Round | undefined): Draft {
  return draft({
    id: c.id(`repair.reface#${number}`),
    stage: 'repair',
    title: 'Stop lapping: reface the seat',
    why: `${c.site.bluingRoundsBeforeReface} rounds without gain: lapping only polishes what is out of true.`,
    tools: ['refacing tool'],
    parts: ['seat', 'disc'],
    minutes: 30,
    because: finding(
      `${c.site.bluingRoundsBeforeReface} rounds with a broken line and no gain`,
      last?.bluing?.seq,
    ),
    after: [c.id(`repair.blue#${number - 1}`)],
    provides: [c.id('repaired')],
  });
}

function lapping(c: Context, number: number, because: Because): Draft {
  const first = number === 1;
  const before = first
    ? [
        c.id('stripped'),
        'seat cut',
        'fit.seat',
        'arrive.disc',
        'inspect.seat',
        'inspect.disc',
        'inspect.blue',
        'inspect.swivel',
      ]
    : [c.id(`repair.reface#${number}`), c.id(`repair.blue#${number - 1}`)];
  return draft({
    id: c.id(`repair.lap#${number}`),
    stage: 'repair',
    title: first ? 'Grind the disc in on its seat' : `Grind in again, round ${number}`,
    why: 'Light pressure, lift and turn often. Each grit removes the scratches of the one before and no more.',
    caution: CAUTIONS.compound,
    tools: ['lapping handle'],
    consumables: ['lapping compound 120', 'lapping compound 240', 'lint-free cloth'],
    parts: ['seat', 'disc'],
    task: { kind: 'lapping', against: 'its own seat', grits: first ? [120, 240] : [240] },
    minutes: first ? 25 : 12,
    because,
    after: before,
    provides: [c.id('repaired')],
  });
}

function bluing(
  c: Context,
  id: string,
  stage: 'inspect' | 'repair',
  round: number,
  because: Because,
  after: string[],
  milestone: string,
): Draft {
  const diameter = c.valve.features.seat.diameter ?? inches(c.valve.nps ?? 2);
  return draft({
    id,
    stage,
    title: round === 0 ? 'Blue the disc on its seat, as found' : `Blue check, round ${round}`,
    why: 'A thin film, a quarter turn under light pressure. One closed narrow line is what holds; any break is a leak path.',
    tools: ['lamp', 'mirror'],
    consumables: ['spotting blue', 'lint-free cloth'],
    parts: ['seat', 'disc'],
    task: { kind: 'bluing', diameter, widest: c.site.widestBlueLine, round },
    minutes: 8,
    because,
    after,
    provides: [milestone],
  });
}

/** Hold: nothing is closed up before the contact and the calls are seen by somebody else. */
export const contactHold: Fragment = {
  name: 'hold on the contact',
  openings: 'every',
  compose: (c) =>
    c.condemned
      ? []
      : [
          draft({
            id: c.id('hold.contact'),
            stage: 'repair',
            title: 'Hold: contact and calls',
            why: 'Last look at the seat before it is closed up.',
            task: { kind: 'hold', witness: 'the blue line and the call on every part' },
            minutes: 10,
            because: rule('hold point before rebuild'),
            after: [c.id('inspected'), c.id('repaired'), c.id('stripped')],
            provides: [c.id('held')],
          }),
          draft({
            id: c.id('rebuild.clean'),
            stage: 'rebuild',
            title: 'Shims out, compound and blue off, all dry',
            why: 'What is left inside goes through the seat on the first stroke.',
            parts: ['seat', 'disc', 'body'],
            consumables: ['solvent', 'lint-free cloth'],
            minutes: 10,
            because: SEAT,
            after: [c.id('hold.contact')],
            provides: [c.id('rebuilt')],
          }),
        ],
};
