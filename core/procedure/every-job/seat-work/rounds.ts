import type { Schools } from '../../../inspection';
import type { Contact, Features } from '../../../valve';
import { arrivalOf } from '../../blocks/arrival';
import { CAUTIONS } from '../../cautions';
import { closureProcedure } from '../../closures';
import { SWIVEL } from '../../closures/swivel-disc';
import { draft, finding, fromCall, type Because, type Context, type Draft, type Fragment } from '../../draft';
import { ifThere, stepName, type Relation, type StepName } from '../../relations';
import { lookOf } from '../looks';
import { asFoundOf, blueOn, bluing } from './bluing';
import { contactsOf, isCut } from './contacts';

/** Grinding in and bluing until each line is closed, for as many rounds as it takes. */
export const grinding: Fragment = {
  name: 'grinding in',
  openings: 'every',
  compose: (c) => contactsOf(c).flatMap((contact) => rounds(c, contact)),
};

const lapOf = ({ side }: Contact, round: number): StepName => stepName('repair.lap', side, round);
const blueOf = ({ side }: Contact, round: number): StepName => stepName('repair.blue', side, round);
const refaceOf = ({ side }: Contact, round: number): StepName => stepName('repair.reface', side, round);

type Blued = NonNullable<ReturnType<typeof blueOn>>;

function rounds(c: Context, contact: Contact): Draft[] {
  const start = startOf(c, contact);
  if (!start) return [];
  const drafts: Draft[] = [];
  const past: Blued[] = [];
  for (let round = 1; ; round++) {
    const last = past.at(-1);
    const because = last ? finding('the blue line is not a closed narrow ring yet', last.entry.seq) : start;
    const stuck = isStuck(past, c.site.bluingRoundsBeforeReface);
    if (stuck) drafts.push(refaceAgain(c, contact, round, last));
    drafts.push(lapping(c, contact, round, because, stuck), blueAgain(c, contact, round, because));
    const blued = blueOn(c, blueOf(contact, round));
    if (!blued || blued.fit) return drafts;
    past.push(blued);
  }
}

/** Why there is seat work at all; undefined while nothing asks for it. */
function startOf(c: Context, contact: Contact): Because | undefined {
  if (c.opening.again) return c.opening.again.only ? undefined : c.opening.again.because;
  const cut = [contact.seat, contact.closure].map((part) => c.calls.get(part)).find(isCut);
  if (cut) return fromCall(cut);
  const asFound = blueOn(c, asFoundOf(contact));
  return asFound && !asFound.fit
    ? finding('blue line as found: broken or wide', asFound.entry.seq)
    : undefined;
}

/** Less than this much more of the circle is no gain. */
const GAIN = 0.02;

/** The last `limit` rounds since the last refacing all came out broken, and none gained on the first of them. */
function isStuck(past: readonly Blued[], limit: number): boolean {
  if (past.length === 0 || past.length % limit !== 0) return false;
  const [first, ...rest] = past.slice(-limit);
  return rest.every((round) => round.continuity <= (first?.continuity ?? 0) + GAIN);
}

function refaceAgain(c: Context, contact: Contact, round: number, last: Blued | undefined): Draft {
  return draft({
    name: refaceOf(contact, round),
    stage: 'repair',
    title: `Stop lapping: reface the ${contact.seat}`,
    why: `${c.site.bluingRoundsBeforeReface} rounds without gain: lapping only polishes what is out of true.`,
    tools: ['refacing tool'],
    parts: [contact.seat, contact.closure],
    minutes: 30,
    because: finding(
      `${c.site.bluingRoundsBeforeReface} rounds with a broken line and no gain`,
      last?.entry.seq,
    ),
    after: [blueOf(contact, round - 1)],
    provides: ['repaired'],
  });
}

function lapping(c: Context, contact: Contact, round: number, because: Because, refaced: boolean): Draft {
  const { seat, closure, way } = contact;
  const first = round === 1;
  const before: readonly Relation[] = first
    ? [
        'stripped',
        'seat cut',
        ...[seat, closure].flatMap((part) => [ifThere(arrivalOf(part)), ifThere(lookOf(part))]),
        ifThere(asFoundOf(contact)),
        ifThere(SWIVEL),
      ]
    : [blueOf(contact, round - 1), ...(refaced ? [refaceOf(contact, round)] : [])];
  return draft({
    name: lapOf(contact, round),
    stage: 'repair',
    ...(first ? firstRound(c, contact) : { title: againTitle(contact, round), why: PRESSURE.hand }),
    caution: `${CAUTIONS.compound}${way === 'press home' ? ' The wedge is never rubbed on its seats.' : ''}`,
    consumables: ['lapping compound 120', 'lapping compound 240', 'lint-free cloth'],
    parts: [seat, closure],
    task: {
      kind: 'lapping',
      against: way === 'grind in' ? 'its own seat' : 'a block or lap',
      grits: first ? [120, 240] : [240],
    },
    minutes: first ? 25 : 12,
    because,
    after: before,
    provides: ['repaired'],
  });
}

const blueAgain = (c: Context, contact: Contact, round: number, because: Because): Draft =>
  draft({
    ...bluing(c, contact, round),
    name: blueOf(contact, round),
    stage: 'repair',
    because,
    after: [lapOf(contact, round), 'asked'],
    provides: ['repaired'],
  });

const PRESSURE = {
  hand: 'Light pressure, back and forth, advancing a quarter turn; lift often. Each grit removes the scratches of the one before and no more.',
  guided:
    'Firm and straight down, the guide keeps it true; back and forth, advancing a quarter turn; lift often. Each grit removes the scratches of the one before and no more.',
};

const againTitle = ({ seat, side, way }: Contact, round: number) =>
  way === 'press home'
    ? `Grind the ${seat} in line again, round ${round}`
    : `Grind in again, round ${round}${side ? `: ${seat}` : ''}`;

/** What keeps a closure true while it is ground in. */
function heldHow(features: Features, spotting: Schools['spotting']): string {
  if (!closureProcedure(features).spottedOnStem)
    return 'It turns with its own stem, in its own guides: they are what keeps it true.';
  return spotting === 'locked to the stem'
    ? 'The disc locked to the stem with shim so that both turn as one; the shim comes out after.'
    : 'The disc floats on a lapping tool that drives it by lugs, its nut not too tight.';
}

function firstRound(
  { site, features }: Context,
  { seat, closure, way }: Contact,
): Pick<Draft, 'title' | 'why' | 'tools'> {
  const { spotting, lappingPressure } = site.schools;
  const why = lappingPressure === 'guided tool' ? PRESSURE.guided : PRESSURE.hand;
  switch (way) {
    case 'grind in':
      return {
        title: `Grind the ${closure} in on its ${seat === 'seat' ? 'seat' : seat}`,
        why: `${why} 120 about two minutes to a bright ring, everything cleaned, then 240. ${heldHow(features, spotting)}`,
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
