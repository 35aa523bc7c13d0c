import { metalSeatOf, type PartRole } from '../../valve';
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
import { slug } from '../sequence';

const SEAT = feature('a metal seat that is blued');

/** Two faces that must meet all round, and how they are brought to it. */
interface Contact {
  /** Told apart in step ids where a valve has more than one. */
  readonly key: '' | '.upper' | '.lower' | '.left' | '.right';
  readonly seat: PartRole;
  readonly closure: PartRole;
  readonly way: 'grind in' | 'flat lap' | 'press home';
}

/** The contacts of this valve that are blued; lapped-flat and soft ones are not. */
function contactsOf({ features, site, has }: Context): readonly Contact[] {
  switch (features.closure.kind) {
    case 'swivel-disc':
      return [{ key: '', seat: has('seat') ? 'seat' : 'seat ring', closure: 'disc', way: 'grind in' }];
    case 'captive-disc':
      return [{ key: '', seat: 'seat', closure: 'disc', way: 'grind in' }];
    case 'guided-check':
      return [{ key: '', seat: 'seat', closure: 'check disc', way: 'grind in' }];
    case 'swing-disc':
      return [{ key: '', seat: 'seat', closure: 'disc', way: 'flat lap' }];
    case 'spherical-plug':
      return [{ key: '', seat: 'seat ring', closure: 'plug', way: 'grind in' }];
    case 'balanced-plug':
      return features.closure.facing === 'metal'
        ? [{ key: '', seat: 'seat ring', closure: 'plug', way: 'grind in' }]
        : [];
    case 'double-plug':
      return [
        { key: '.upper', seat: 'upper seat ring', closure: 'plug', way: 'grind in' },
        { key: '.lower', seat: 'lower seat ring', closure: 'plug', way: 'grind in' },
      ];
    case 'wedge':
      return site.schools.gateSeats === 'ground in line'
        ? [
            { key: '.left', seat: 'left seat', closure: 'wedge', way: 'press home' },
            { key: '.right', seat: 'right seat', closure: 'wedge', way: 'press home' },
          ]
        : [];
    default:
      return [];
  }
}

/** The blue line as found, where nothing is damaged that has to be cut first. */
export const blueAsFound: Fragment = {
  name: 'blue as found',
  openings: 'first',
  compose: (c) =>
    c.condemned
      ? []
      : contactsOf(c)
          .filter((contact) => !damaged(c, contact))
          .map((contact) =>
            bluing(
              c,
              contact,
              `inspect.blue${contact.key}`,
              'inspect',
              0,
              SEAT,
              ['inspect.clean', `inspect.${slug(contact.closure)}`, `inspect.${slug(contact.seat)}`, 'asked'],
              'inspected',
            ),
          ),
};

const damaged = (c: Context, { seat, closure }: Contact): boolean =>
  [seat, closure].some((part) => isCut(c.calls.get(part)));

const isCut = (call: StandingCall | undefined): boolean =>
  call?.verdict === 'renew' || (call?.verdict === 'rework' && call.method !== 'free and clean');

/** Cutting, grinding in and bluing until each line is closed, for as many rounds as it takes. */
export const seatWork: Fragment = {
  name: 'seat work',
  openings: 'every',
  compose: (c) =>
    c.condemned ? [] : [...cutting(c), ...contactsOf(c).flatMap((contact) => rounds(c, contact))],
};

/** Seating parts that are put right on a machine before they are ground in; each once, whatever it closes on. */
function cutting(c: Context): Draft[] {
  if (c.opening.number > 1) return [];
  return [...c.calls.values()].flatMap((call): Draft[] => {
    if (call.verdict !== 'rework') return [];
    const { part } = call;
    const name = slug(part);
    const common = {
      stage: 'repair' as const,
      because: fromCall(call),
      parts: [part],
      after: ['stripped', `inspect.${name}`, `repair.compare-${name}`],
      provides: ['repaired', 'seat cut'],
    };
    switch (call.method) {
      case 'lathe and lap':
        return [
          draft({
            ...common,
            id: `repair.lathe-${name}`,
            title: `${capital(part)} to the lathe`,
            why: `Centred within 0.001 in, single-point carbide, 30 to 50 surface ft/min, fine feed, ${
              c.features.closure.kind === 'captive-disc' && part === 'disc' ? '29° ± 15′, ' : ''
            }the least metal that cleans it up. All swarf off before it is blued.`,
            caution: CAUTIONS.lathe,
            tools: ['lathe', 'dial indicator'],
            minutes: 75,
          }),
        ];
      case 'reface and lap':
        return [draft({ ...common, id: `repair.reface-${name}`, ...refacing(c, part) })];
      case 'free and clean':
        return [
          draft({
            ...common,
            id: `repair.free-${name}`,
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

/** Refacing by hand: a tool on the body thread cuts one way only. */
function refacing({ features }: Context, part: PartRole) {
  const guided = features.joint.kind === 'clamped-yoke' && part === 'seat';
  return {
    title: guided ? 'Reface the seat with the hand tool on the body thread' : `Reface the ${part}`,
    why: guided
      ? 'About 1/16 in of free feed before it cuts; feed very slowly. Chatter is too much feed; a uniform shiny ring is done.'
      : 'Feed very slowly and one way only; a uniform bright ring is enough.',
    ...(guided
      ? { caution: 'Clockwise only: anticlockwise chips the cutter and the body.' }
      : { caution: 'One way only, the least metal that cleans it up.' }),
    tools: ['refacing tool'],
    minutes: 30,
  };
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

interface Round {
  number: number;
  bluing: EntryOf<'bluing-checked'> | undefined;
  fit: boolean;
  continuity: number;
}

function rounds(c: Context, contact: Contact): Draft[] {
  const start = startOf(c, contact);
  if (!start) return [];
  const drafts: Draft[] = [];
  const past: Round[] = [];
  for (let number = 1; ; number++) {
    const because =
      past.length === 0
        ? start
        : finding('the blue line is not a closed narrow ring yet', past.at(-1)?.bluing?.seq);
    if (isStuck(past, c.site.bluingRoundsBeforeReface))
      drafts.push(refaceAgain(c, contact, number, past.at(-1)));
    drafts.push(
      lapping(c, contact, number, because),
      bluing(
        c,
        contact,
        c.id(blueId(contact, number)),
        'repair',
        number,
        because,
        [c.id(lapId(contact, number)), 'asked'],
        c.id('repaired'),
      ),
    );
    const round = readRound(c, contact, number);
    if (!round.bluing || round.fit) return drafts;
    past.push(round);
  }
}

const lapId = ({ key }: Contact, number: number) => `repair.lap${key}#${number}`;
const blueId = ({ key }: Contact, number: number) => `repair.blue${key}#${number}`;

/** Why there is seat work at all; undefined while nothing asks for it. */
function startOf(c: Context, contact: Contact): Because | undefined {
  if (c.opening.failed) return finding('the seat test was over its allowance', c.opening.failed.seq);
  const cut = [contact.seat, contact.closure].map((part) => c.calls.get(part)).find(isCut);
  if (cut) return fromCall(cut);
  const asFound = c.state.records['bluing-checked'].findLast(
    ({ body }) => body.step.id === `inspect.blue${contact.key}`,
  );
  return asFound && !verdictOf(c, asFound).fit
    ? finding('blue line as found: broken or wide', asFound.seq)
    : undefined;
}

function readRound(c: Context, contact: Contact, number: number): Round {
  const bluing = c.state.records['bluing-checked'].findLast(
    ({ body }) => body.step.id === c.id(blueId(contact, number)),
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

function refaceAgain(c: Context, contact: Contact, number: number, last: Round | undefined): Draft {
  return draft({
    id: c.id(`repair.reface${contact.key}#${number}`),
    stage: 'repair',
    title: `Stop lapping: reface the ${contact.seat}`,
    why: `${c.site.bluingRoundsBeforeReface} rounds without gain: lapping only polishes what is out of true.`,
    tools: ['refacing tool'],
    parts: [contact.seat, contact.closure],
    minutes: 30,
    because: finding(
      `${c.site.bluingRoundsBeforeReface} rounds with a broken line and no gain`,
      last?.bluing?.seq,
    ),
    after: [c.id(blueId(contact, number - 1))],
    provides: [c.id('repaired')],
  });
}

function lapping(c: Context, contact: Contact, number: number, because: Because): Draft {
  const { seat, closure, key } = contact;
  const first = number === 1;
  const before = first
    ? [
        c.id('stripped'),
        'seat cut',
        `fit.${slug(seat)}`,
        `arrive.${slug(seat)}`,
        `arrive.${slug(closure)}`,
        `inspect.${slug(seat)}`,
        `inspect.${slug(closure)}`,
        `inspect.blue${key}`,
        'inspect.swivel',
      ]
    : [c.id(`repair.reface${key}#${number}`), c.id(blueId(contact, number - 1))];
  return draft({
    id: c.id(lapId(contact, number)),
    stage: 'repair',
    ...(first ? firstRound(c, contact) : { title: againTitle(contact, number), why: PRESSURE.hand }),
    caution: `${CAUTIONS.compound}${contact.way === 'press home' ? ' The wedge is never rubbed on its seats.' : ''}`,
    consumables: ['lapping compound 120', 'lapping compound 240', 'lint-free cloth'],
    parts: [seat, closure],
    task: {
      kind: 'lapping',
      against: contact.way === 'grind in' ? 'its own seat' : 'a block or lap',
      grits: first ? [120, 240] : [240],
    },
    minutes: first ? 25 : 12,
    because,
    after: before,
    provides: [c.id('repaired')],
  });
}

const PRESSURE = {
  hand: 'Light pressure, lift and turn often. Each grit removes the scratches of the one before and no more.',
  guided:
    'Firm, the guide keeps it true; lift and turn often. Each grit removes the scratches of the one before and no more.',
};

const againTitle = ({ seat, key, way }: Contact, number: number) =>
  way === 'press home'
    ? `Grind the ${seat} in line again, round ${number}`
    : `Grind in again, round ${number}${key ? `: ${seat}` : ''}`;

function firstRound({ site }: Context, { seat, closure, way }: Contact) {
  const { spotting, lappingPressure } = site.schools;
  const why = lappingPressure === 'guided tool' ? PRESSURE.guided : PRESSURE.hand;
  switch (way) {
    case 'grind in':
      return {
        title: `Grind the ${closure} in on its ${seat === 'seat' ? 'seat' : seat}`,
        why: `${why} ${
          spotting === 'locked to the stem'
            ? '120 about two minutes to a bright ring, everything cleaned, then 240. The disc locked to the stem with shim so that both turn as one; the shim comes out after.'
            : '120 about two minutes to a bright ring, everything cleaned, then 240. The disc floats on a lapping tool that drives it by lugs.'
        }`,
        tools: ['lapping handle'],
      };
    case 'flat lap':
      return {
        title: `Lap the ${seat} in place with a flat lap`,
        why: `${why} The ${closure} is lapped on a block.`,
        tools: ['flat lap', 'lapping block'],
      };
    case 'press home':
      return {
        title: `Grind the ${seat} in line`,
        why: 'A portable grinder set square to the bore; the least metal that cleans it up.',
        tools: ['portable seat grinder'],
      };
  }
}

function bluing(
  c: Context,
  { seat, closure, key, way }: Contact,
  id: string,
  stage: 'inspect' | 'repair',
  round: number,
  because: Because,
  after: string[],
  milestone: string,
): Draft {
  const diameter = metalSeatOf(c.features)?.diameter ?? inches(c.valve.nps ?? 2);
  const straight = way === 'press home' || c.site.schools.bluing === 'straight down';
  const on = seat === 'seat' || seat === 'seat ring' ? 'its seat' : `the ${seat}`;
  return draft({
    id,
    stage,
    title:
      round === 0
        ? `Blue the ${closure} on ${on}, as found`
        : `Blue check, round ${round}${key ? `: ${seat}` : ''}`,
    why: `A thin film, ${
      straight ? 'pressed straight home, no turn' : 'a quarter turn under light pressure'
    }. One closed narrow line is what holds; any break is a leak path.`,
    tools: ['lamp', 'mirror'],
    consumables: ['spotting blue', 'lint-free cloth'],
    parts: [seat, closure],
    task: { kind: 'bluing', diameter, widest: c.site.widestBlueLine, round },
    minutes: 8,
    because,
    after,
    provides: [milestone],
  });
}

/** A disc locked to its stem for spotting is shimmed. */
const shimmed = ({ features, site }: Context): boolean =>
  ['swivel-disc', 'captive-disc'].includes(features.closure.kind) &&
  site.schools.spotting === 'locked to the stem';

/** Hold: nothing is closed up before the contact and the calls are seen by somebody else. */
export const contactHold: Fragment = {
  name: 'hold on the contact',
  openings: 'every',
  compose: (c) => {
    if (c.condemned) return [];
    const blued = contactsOf(c).length > 0;
    return [
      draft({
        id: c.id('hold.contact'),
        stage: 'repair',
        title: blued ? 'Hold: contact and calls' : 'Hold: the call on every part',
        why: blued
          ? 'Last look at the seat before it is closed up.'
          : 'Last look at every part before it is closed up.',
        task: {
          kind: 'hold',
          witness: blued ? 'the blue line and the call on every part' : 'the call on every part',
        },
        minutes: 10,
        because: rule('hold point before rebuild'),
        after: [c.id('inspected'), c.id('repaired'), c.id('stripped')],
        provides: [c.id('held')],
      }),
      draft({
        id: c.id('rebuild.clean'),
        stage: 'rebuild',
        title: blued
          ? `${shimmed(c) ? 'Shims out, compound' : 'Compound'} and blue off, all dry`
          : 'Every part clean and dry, ready to go back',
        why: 'What is left inside goes through the seat on the first stroke.',
        parts: [
          ...new Set([...contactsOf(c).flatMap(({ seat, closure }) => [seat, closure]), 'body' as const]),
        ],
        consumables: ['solvent', 'lint-free cloth'],
        minutes: 10,
        because: SEAT,
        after: [c.id('hold.contact')],
        provides: [c.id('rebuilt')],
      }),
    ];
  },
};
