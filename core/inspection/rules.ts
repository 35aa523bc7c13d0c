import { compare, inches, si, thou, valueIn, type Length } from '../quantity';
import {
  API_600,
  COMMON_PRACTICE,
  LEAST_HARD_FACING_MM,
  siteRule,
  wearTravel,
  wedgeSink,
  type Source,
} from '../standards';
import type { StemRunout } from '../workings';
import {
  closureOf,
  makersStemTir,
  metalSeatOf,
  PART_CATALOGUE,
  partsOf,
  type PartKind,
  type PartRole,
  type Valve,
} from '../valve';
import type { Call, Method, Verdict } from './call';
import type { Finding } from './finding';
import type { PlainReason, Reason } from './reason';
import type { SiteRules } from './site-rules';

/** What a rule looks at. */
interface Case {
  readonly valve: Valve;
  readonly site: SiteRules;
  readonly part: PartRole;
}

type Ruling = Omit<Call, 'part'>;

const ruled = (
  verdict: Verdict,
  why: PlainReason | Reason,
  source: Source = COMMON_PRACTICE,
  method?: Method,
): Ruling => {
  const reason: Reason = typeof why === 'string' ? { code: why } : why;
  return method === undefined ? { verdict, reason, source } : { verdict, method, reason, source };
};

/** Reworked by a method of common practice. */
const reworked = (method: Method, why: PlainReason | Reason, source: Source = COMMON_PRACTICE): Ruling =>
  ruled('rework', why, source, method);

/** The call on a part for what was seen on it. */
export function callOnFinding(found: Case, finding: Finding): Call {
  return { part: found.part, ...ruling(found, finding) };
}

function ruling(found: Case, finding: Finding): Ruling {
  switch (finding.kind) {
    case 'sound':
      return ruled('fit', 'nothing found');
    case 'seat damage':
      return seatDamage(found, finding.depth);
    case 'cracked':
      return replaceable(found) ? ruled('renew', 'cracked') : ruled('condemn', 'cracked for good');
    case 'joint face damage':
      return jointFace(found, finding.depth);
    case 'stem mark':
      return stemMark(finding.zone);
    case 'thread worn':
      return ruled(
        'renew',
        found.valve.features.stem.motion === 'rising' ? 'rising thread worn' : 'thread worn',
      );
    case 'scored':
      return ruled('renew', 'scored');
    case 'torn':
      return ruled('renew', { code: 'torn', form: finding.form });
    case 'cut seal':
      return ruled('renew', { code: 'cut', form: finding.form });
    case 'spring fault':
      return ruled('renew', { code: 'spring fault', form: finding.form });
    case 'galled':
      return galled(found);
    case 'bent':
      return ruled('renew', 'bent');
    case 'worn':
      return ruled('renew', 'worn');
    case 'light marks':
      return lightMarks(found);
    case 'stiff':
      return reworked('even grind', 'stiff');
    case 'blocked':
      return reworked('clear and clean', 'blocked');
    case 'rides low':
      return ruled('renew', 'rides low', { ...API_600, clause: 'wear travel of the wedge' });
    case 'seat pocket corroded':
      return ruled('renew', 'pocket corroded');
    case 'own seat damaged':
      return ruled('condemn', 'own seat damaged');
    case 'leaks':
      return found.part === 'body' ? ruled('ask', 'body leaks') : reworked('clean up', 'leaks');
    case 'stuck':
      return reworked('free and clean', 'stuck');
    case 'corroded':
      return corroded(found, finding.degree);
    case 'unsure':
      return ruled('ask', { code: 'unsure', what: finding.what });
  }
}

/** Minor marks: ground out evenly, but a part with two faces is turned on to the other. */
function lightMarks({ part, valve }: Case): Ruling {
  const { seat } = valve.features;
  if (part === 'reversible seat')
    return seat.kind === 'reversible' && seat.turned
      ? ruled('renew', 'both faces worn')
      : reworked('turn over', 'one face worn');
  if (part === 'cartridge')
    return seat.kind === 'cartridge' && seat.service === 'first'
      ? reworked('turn end for end', 'one seat worn')
      : ruled('renew', 'both faces worn');
  return reworked('even grind', 'light marks');
}

function corroded({ part }: Case, degree: 'light' | 'deep'): Ruling {
  if (degree === 'light') return reworked('clean up', 'light corrosion');
  return part === 'body' ? ruled('ask', 'deep corrosion of the body') : ruled('renew', 'deep corrosion');
}

function replaceable({ part, valve }: Case): boolean {
  return !partsOf(valve).some(({ role, stays }) => role === part && stays);
}

/** Scores in an insert or a relay body take the whole of it: the rest is a part of its own. */
function galled({ part }: Case): Ruling {
  if (part === 'bypass insert') return ruled('renew', 'insert scored');
  if (part === 'relay body') return ruled('renew', 'relay bushing scored');
  return ruled('renew', 'galled');
}

function seatDamage(found: Case, depth: Length): Ruling {
  const { site, part } = found;
  const source = siteOr(site);
  if (PART_CATALOGUE[part].kind === 'soft seating')
    return ruled('renew', { code: 'soft seat marked', depth });
  const ownWay = wayOfItsOwn(found, depth);
  if (ownWay) return ownWay;
  if (site.schools.repairOrRenew === 'renew' && replaceable(found))
    return ruled('renew', { code: 'site renews', depth }, source);
  if (compare(depth, site.grindInTo) <= 0)
    return reworked('grind in', { code: 'within grinding', depth, to: site.grindInTo }, source);
  if (part === 'cartridge') return ruled('renew', { code: 'cartridge marked', depth });
  return machined(found, depth);
}

const SEATS: readonly PartRole[] = [
  'seat',
  'seat ring',
  'upper seat ring',
  'lower seat ring',
  'port seat',
  'nozzle',
];

/** The stock of a seating part, where it is known. */
const stockOf = ({ part, valve }: Case): Length | undefined =>
  SEATS.includes(part) ? metalSeatOf(valve.features)?.stock : undefined;

/** More than grinding takes off: as far as the stock goes, or the site lets a part be cut whose stock nobody knows. */
function machined(found: Case, depth: Length): Ruling {
  const { site, valve } = found;
  const source = siteOr(site);
  const spent = pastStock(found, depth);
  if (spent) return spent;
  if (compare(depth, site.refaceTo) <= 0)
    return reworked('reface and lap', { code: 'within refacing', depth, to: site.refaceTo }, source);
  const isHardFaced = metalSeatOf(valve.features)?.face === 'hard-faced';
  return reworked('lathe and lap', { code: isHardFaced ? 'hard facing' : 'past refacing', depth }, source);
}

/** A mark deeper than what the part has to give. */
function pastStock(found: Case, depth: Length): Ruling | undefined {
  const { site } = found;
  const stock = stockOf(found);
  if (stock !== undefined) {
    if (compare(depth, stock) <= 0) return undefined;
    const why = { ...API_600, clause: `finished hard facing at least ${LEAST_HARD_FACING_MM} mm` };
    return replaceable(found)
      ? ruled('renew', { code: 'past its stock', depth, stock }, why)
      : ruled('condemn', { code: 'past the stock of the body', depth, stock }, why);
  }
  const to = site.latheTo;
  if (compare(depth, to) <= 0) return undefined;
  return replaceable(found)
    ? ruled('renew', { code: 'past the lathe', depth, to }, siteOr(site))
    : ruled('ask', { code: 'stock unknown', depth, to }, siteOr(site));
}

/** Seating parts that are never ground in against each other. */
function wayOfItsOwn(found: Case, depth: Length): Ruling | undefined {
  const { valve, part, site } = found;
  switch (closureOf(valve.features).marks) {
    case 'each face by itself':
      return ofWedge(found, depth);
    case 'against a lap':
      return compare(depth, site.refaceTo) <= 0
        ? reworked('lap against a lap', { code: 'each against a lap', depth })
        : (pastStock(found, depth) ??
            ruled('ask', { code: 'past lapping', depth, to: site.refaceTo }, siteOr(site)));
    case 'renewed':
      return ruled('renew', { code: 'flat as made', depth });
    case 'ball renewed':
      if (part !== 'ball') return undefined;
      return compare(depth, HARDLY_FELT) <= 0
        ? ruled('ask', { code: 'ball lightly marked', depth })
        : ruled('renew', { code: 'ball marked', depth });
    case 'as a pair':
      return compare(depth, site.refaceTo) <= 0
        ? reworked('grind in', { code: 'within grinding', depth, to: site.refaceTo }, siteOr(site))
        : ruled('ask', { code: 'pair marked', depth });
    default:
      return undefined;
  }
}

/** A mark that a fingernail does not catch on (common practice). */
const HARDLY_FELT = thou(0.5);

/** A wedge and its seats: what comes off a face lets the wedge sink, about eleven times as far. */
function ofWedge(found: Case, depth: Length): Ruling {
  const { part, site, valve } = found;
  const sink = inches(wedgeSink(valueIn(depth, 'in')));
  const travel = wearTravel(valve.nps);
  if (part !== 'wedge' && !replaceable(found) && site.schools.gateSeats !== 'ground in line')
    return ruled('condemn', { code: 'out of reach', depth });
  if (!travel) return ruled('ask', { code: 'wear travel unknown', depth, sink });
  if (compare(sink, travel) > 0)
    return ruled(
      replaceable(found) ? 'renew' : 'ask',
      { code: 'wedge would sink', depth, sink, travel },
      API_600,
    );
  if (part === 'wedge') return reworked('lap on a block', { code: 'lapped on a block', depth });
  return site.schools.gateSeats === 'ground in line'
    ? reworked('grind the seat in line', { code: 'ground in line', depth }, siteOr(site))
    : reworked('lap the seat out of the body', { code: 'lapped out of the body', depth });
}

function jointFace({ site }: Case, depth: Length): Ruling {
  if (compare(depth, site.lapJointFaceTo) <= 0)
    return reworked('lap joint face', { code: 'joint face within lapping', depth }, siteOr(site));
  const to = site.turnJointFaceTo;
  return compare(depth, to) <= 0
    ? reworked('turn joint face', { code: 'joint face past lapping', depth }, siteOr(site))
    : ruled('ask', { code: 'joint face past turning', depth, to }, siteOr(site));
}

function stemMark(zone: 'packing zone' | 'below the backseat' | 'thread'): Ruling {
  switch (zone) {
    case 'packing zone':
      return ruled('renew', 'marked in the packing');
    case 'below the backseat':
      return ruled('fit', 'marked below the packing');
    case 'thread':
      return reworked('dress thread', 'thread marked');
  }
}

/**
 * The limit on a stem's total indicator reading and whose it is: the maker's, else the site's by its diameter, the
 * tighter one while that is unknown.
 */
export function stemLimit(valve: Valve, site: SiteRules): { limit: Length; source: Source } {
  const byMaker = makersStemTir(valve);
  if (byMaker) return { limit: byMaker.value, source: byMaker.source };
  const { diameter } = valve.features.stem;
  const thick = diameter !== undefined && compare(diameter, inches(1)) > 0;
  return { limit: thick ? site.stemTirAboveOneInch : site.stemTirToOneInch, source: siteOr(site) };
}

/** The call on a stem from its runout. */
export function callOnRunout(valve: Valve, site: SiteRules, runout: StemRunout, part: PartRole): Call {
  const { limit, source } = stemLimit(valve, site);
  const found = { tir: runout.tir, limit };
  const { outOfRound: oval } = runout;
  if (si(runout.tir) <= si(limit) + 1e-12) {
    const most = site.stemOutOfRound;
    return si(oval) > si(most) + 1e-12
      ? { part, ...ruled('renew', { code: 'out of round', oval, limit: most }, siteOr(site)) }
      : { part, ...ruled('fit', { code: 'runs true', ...found }, source) };
  }
  if (2 * si(runout.bow) < si(oval) / 2)
    return { part, ...ruled('renew', { code: 'oval', ...found }, source) };
  return site.straighteningAllowed
    ? { part, ...reworked('straighten', { code: 'bent, straightened here', ...found }, source) }
    : { part, ...ruled('renew', { code: 'bent stem', ...found }, source) };
}

/** Rules that are the site's own carry its name; untouched defaults are common practice. */
export function siteOr(site: SiteRules): Source {
  return site.name === COMMON_PRACTICE.name ? COMMON_PRACTICE : siteRule(site.name);
}

/** Why a part of each kind is new at every overhaul. */
const ALWAYS_NEW: Partial<Record<PartKind, PlainReason>> = {
  packing: 'packing is new',
  seal: 'seals are new',
  'soft seating': 'soft seats are new',
  diaphragm: 'diaphragm is new',
  pin: 'safety pin',
  gland: 'goes with the packing',
};

/** Parts that hold or let go by design: no single person clears one (common practice). */
export const isSafetyPart = (part: PartRole): boolean =>
  PART_CATALOGUE[part].kind === 'pin' && PART_CATALOGUE[part].policy === 'renew always';

/** Parts that are new at every overhaul. */
export function callOnPolicy(part: PartRole): Call {
  return { part, ...ruled('renew', ALWAYS_NEW[PART_CATALOGUE[part].kind] ?? 'once crushed') };
}

/** The call that a feature makes by itself, before anybody looks. */
export function callOnFeature(part: PartRole, { features }: Valve): Call | undefined {
  if (part !== 'cartridge' || features.seat.kind !== 'cartridge') return undefined;
  return features.seat.service === 'first'
    ? { part, ...reworked('turn end for end', 'first service') }
    : { part, ...ruled('renew', 'second service') };
}

/** Parts that are renewed only together: one renewed takes the others with it. */
export function setOf(part: PartRole, { features }: Valve): readonly PartRole[] {
  const { set = [] } = closureOf(features);
  return set.includes(part) ? set : [];
}
