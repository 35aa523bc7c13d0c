import { compare, format, inches, si, valueIn, type Length } from '../quantity';
import { API_600, COMMON_PRACTICE, LEAST_HARD_FACING_MM, siteRule, type Source } from '../standards';
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
  reason: string,
  source: Source = COMMON_PRACTICE,
  method?: Method,
): Ruling => (method === undefined ? { verdict, reason, source } : { verdict, reason, source, method });

/** The call on a part for what was seen on it. */
export function callOnFinding(found: Case, finding: Finding): Call {
  return { part: found.part, ...ruling(found, finding) };
}

function ruling(found: Case, finding: Finding): Ruling {
  switch (finding.kind) {
    case 'sound':
      return ruled('fit', 'looked at, nothing found');
    case 'seat damage':
      return seatDamage(found, finding.depth);
    case 'cracked':
      return replaceable(found)
        ? ruled('renew', 'cracked')
        : ruled('condemn', 'cracked, and it cannot be renewed');
    case 'joint face damage':
      return jointFace(found, finding.depth);
    case 'stem mark':
      return stemMark(finding.zone);
    case 'thread worn':
      return ruled(
        'renew',
        found.valve.features.stem.motion === 'rising'
          ? 'a worn thread on a rising stem lets pressure push the valve open'
          : 'its thread is worn',
      );
    case 'scored':
      return ruled('renew', 'scored');
    case 'torn':
      return ruled('renew', `${finding.form}: a diaphragm that is not whole is not patched`);
    case 'cut seal':
      return ruled('renew', `${finding.form}: a seal that is not whole leaks`);
    case 'spring fault':
      return ruled('renew', `${finding.form}: its load is no longer what the sheet says`);
    case 'galled':
      return galled(found);
    case 'bent':
      return ruled('renew', 'bent: it wears what it runs in');
    case 'worn':
      return ruled('renew', 'worn past its fit');
    case 'light marks':
      return ruled('rework', 'minor marks: an even grind takes them out', COMMON_PRACTICE, 'even grind');
    case 'stiff':
      return ruled('rework', 'stiff in its bore: clean it, an even grind', COMMON_PRACTICE, 'even grind');
    case 'blocked':
      return ruled(
        'rework',
        'a small passage blocked stops the whole valve',
        COMMON_PRACTICE,
        'clear and clean',
      );
    case 'rides low':
      return ruled('renew', 'no wear travel left: it would bottom before it seals', {
        ...API_600,
        clause: 'wear travel of the wedge',
      });
    case 'seat pocket corroded':
      return ruled('renew', 'corroded where the seat meets the body: no seat will seal in it');
    case 'leaks':
      return ruled('rework', 'it leaks: put right before the job is closed', COMMON_PRACTICE, 'clean up');
    case 'stuck':
      return ruled('rework', 'it must swivel freely to find its seat', COMMON_PRACTICE, 'free and clean');
    case 'corroded':
      return finding.degree === 'light'
        ? ruled('rework', 'light corrosion', COMMON_PRACTICE, 'clean up')
        : found.part === 'body'
          ? ruled('ask', 'deep corrosion: somebody who may decide must look')
          : ruled('renew', 'deep corrosion');
    case 'unsure':
      return ruled('ask', finding.what);
  }
}

function replaceable({ part, valve }: Case): boolean {
  return !partsOf(valve).some(({ role, stays }) => role === part && stays);
}

/** Scores in an insert or a relay body take the whole of it: the rest is a part of its own. */
function galled({ part }: Case): Ruling {
  if (part === 'bypass insert') return ruled('renew', 'severe scratches: the complete insert');
  if (part === 'relay body') return ruled('renew', 'its bushing is scored: the whole relay body');
  return ruled('renew', 'scored or galled: what runs in it sticks');
}

function seatDamage(found: Case, depth: Length): Ruling {
  const { site, valve, part } = found;
  const source = siteOr(site);
  const shown = format(depth, 'US');
  if (PART_CATALOGUE[part].kind === 'soft seating')
    return ruled('renew', `${shown} deep in a soft seat: it is not dressed`);
  const ownWay = wayOfItsOwn(found);
  if (ownWay) return { ...ownWay, reason: `${shown} deep: ${ownWay.reason}` };
  if (site.schools.repairOrRenew === 'renew' && replaceable(found))
    return ruled('renew', `${shown} deep: this site renews what it can`, source);
  if (compare(depth, site.grindInTo) <= 0) {
    return ruled(
      'rework',
      `${shown} deep: shallow enough to grind in (to ${format(site.grindInTo, 'US')})`,
      source,
      'grind in',
    );
  }
  const seat = metalSeatOf(valve.features);
  const stock = seat?.stock;
  if (isSeat(part) && stock !== undefined && compare(depth, stock) > 0) {
    const left = `${shown} deep, only ${format(stock, 'US')} of stock above the least thickness`;
    const why = { ...API_600, clause: `finished hard facing at least ${LEAST_HARD_FACING_MM} mm` };
    return replaceable(found)
      ? ruled('renew', left, why)
      : ruled('condemn', `${left}, and the seat is part of the body`, why);
  }
  if (compare(depth, site.refaceTo) <= 0) {
    return ruled(
      'rework',
      `${shown} deep: more than grinding takes off, within refacing (to ${format(site.refaceTo, 'US')})`,
      source,
      'reface and lap',
    );
  }
  const why =
    seat?.face === 'hard-faced'
      ? 'hard facing is too hard for a hand reseater: the lathe is quicker and controlled'
      : 'too deep to reface by hand';
  return ruled('rework', `${shown} deep: ${why}`, source, 'lathe and lap');
}

const SEATS: readonly PartRole[] = ['seat', 'seat ring', 'upper seat ring', 'lower seat ring', 'port seat'];
const isSeat = (part: PartRole) => SEATS.includes(part);

/** Seating parts that are never ground in against each other. */
function wayOfItsOwn(found: Case): Ruling | undefined {
  const { valve, part, site } = found;
  switch (closureOf(valve.features).marks) {
    case 'each face by itself':
      if (part === 'wedge') {
        return ruled(
          'rework',
          'the wedge is lapped on a block, never on its seats',
          COMMON_PRACTICE,
          'lap on a block',
        );
      }
      if (site.schools.gateSeats === 'ground in line') {
        return ruled(
          'rework',
          'a portable grinder reaches it in line',
          siteOr(site),
          'grind the seat in line',
        );
      }
      return replaceable(found)
        ? ruled('rework', 'out of the body, then lapped', COMMON_PRACTICE, 'lap the seat out of the body')
        : ruled('condemn', 'this seat does not come out, and no grinder reaches it in line');
    case 'against a lap':
      return ruled(
        'rework',
        'disc and nozzle each against a lap, never on each other',
        COMMON_PRACTICE,
        'lap against a lap',
      );
    case 'renewed':
      return ruled('renew', 'gates and seats are lapped flat as they are made: a mark is not dressed here');
    case 'ball renewed':
      return part === 'ball' ? ruled('renew', 'a marked ball cuts its new seats') : undefined;
    default:
      return undefined;
  }
}

function jointFace({ site }: Case, depth: Length): Ruling {
  return compare(depth, site.lapJointFaceTo) <= 0
    ? ruled(
        'rework',
        `${format(depth, 'US')} deep: figure of eight on a block`,
        siteOr(site),
        'lap joint face',
      )
    : ruled(
        'rework',
        `${format(depth, 'US')} deep: too deep to lap, turn it first`,
        siteOr(site),
        'turn joint face',
      );
}

function stemMark(zone: 'packing zone' | 'below the backseat' | 'thread'): Ruling {
  switch (zone) {
    case 'packing zone':
      return ruled('renew', 'marked where the packing runs: it leaks through good packing');
    case 'below the backseat':
      return ruled('fit', 'marked between disc and backseat: it touches no packing');
    case 'thread':
      return ruled('rework', 'marked on the thread', COMMON_PRACTICE, 'dress thread');
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
  const tir = `${format(runout.tir, 'US')}, limit ${format(limit, 'US')}`;
  if (si(runout.tir) <= si(limit) + 1e-12) return { part, ...ruled('fit', `TIR ${tir}`, source) };
  if (valueIn(runout.bow, 'thou') * 2 < valueIn(runout.outOfRound, 'thou') / 2) {
    return {
      part,
      ...ruled('renew', `TIR ${tir}: out of round, and packing rides on an oval`, source),
    };
  }
  return site.straighteningAllowed
    ? {
        part,
        ...ruled('rework', `TIR ${tir}: bent; this site allows straightening`, source, 'straighten'),
      }
    : {
        part,
        ...ruled('renew', `TIR ${tir}: bent; it leaks through good packing and wears its bushing`, source),
      };
}

/** Rules that are the site's own carry its name; untouched defaults are common practice. */
export function siteOr(site: SiteRules): Source {
  return site.name === COMMON_PRACTICE.name ? COMMON_PRACTICE : siteRule(site.name);
}

/** Why a part of each kind is new at every overhaul. */
const ALWAYS_NEW: Partial<Record<PartKind, string>> = {
  packing: 'the stem leaves it: always new',
  seal: 'kits renew every seal',
  'soft seating': 'soft seats are new with every kit',
  diaphragm: 'new with every kit',
  pin: 'a safety part, or sheared to come out: always new',
  gland: 'it goes with the packing: always new',
};

/** Parts that hold or let go by design: no single person clears one (common practice). */
export const isSafetyPart = (part: PartRole): boolean =>
  PART_CATALOGUE[part].kind === 'pin' && PART_CATALOGUE[part].policy === 'renew always';

/** Parts that are new at every overhaul. */
export function callOnPolicy(part: PartRole): Call {
  const reason = ALWAYS_NEW[PART_CATALOGUE[part].kind] ?? 'once crushed it does not seal again: always new';
  return { part, ...ruled('renew', reason) };
}

/** The call that a feature makes by itself, before anybody looks. */
export function callOnFeature(part: PartRole, { features }: Valve): Call | undefined {
  if (part !== 'cartridge' || features.seat.kind !== 'cartridge') return undefined;
  return features.seat.service === 'first'
    ? {
        part,
        ...ruled(
          'rework',
          'first service: the unused upstream seat becomes the downstream one',
          COMMON_PRACTICE,
          'turn end for end',
        ),
      }
    : { part, ...ruled('renew', 'second service: both seats have been used') };
}

/** Parts that are renewed only together: one renewed takes the others with it. */
export function setOf(part: PartRole, { features }: Valve): readonly PartRole[] {
  const { set = [] } = closureOf(features);
  return set.includes(part) ? set : [];
}
