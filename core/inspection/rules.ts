import { compare, format, inches, si, valueIn, type Length } from '../quantity';
import { API_600, COMMON_PRACTICE, LEAST_HARD_FACING_MM, siteRule, type Source } from '../standards';
import type { StemRunout } from '../workings';
import type { PartRole, Valve } from '../valve';
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
      return ruled('renew', 'a worn thread on a rising stem lets pressure push the valve open');
    case 'scored':
      return ruled('renew', 'scored');
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
  return part !== 'body' && !(part === 'seat' && valve.features.seat.kind === 'integral');
}

function seatDamage(found: Case, depth: Length): Ruling {
  const { site, valve } = found;
  const source = siteOr(site);
  const shown = format(depth, 'US');
  if (compare(depth, site.grindInTo) <= 0) {
    return ruled(
      'rework',
      `${shown} deep: shallow enough to grind in (to ${format(site.grindInTo, 'US')})`,
      source,
      'grind in',
    );
  }
  const { stock, face } = valve.features.seat;
  if (found.part === 'seat' && stock !== undefined && compare(depth, stock) > 0) {
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
    face === 'hard-faced'
      ? 'hard facing is too hard for a hand reseater: the lathe is quicker and controlled'
      : 'too deep to reface by hand';
  return ruled('rework', `${shown} deep: ${why}`, source, 'lathe and lap');
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

/** The limit on a stem's total indicator reading: by its diameter, the tighter one while that is unknown. */
export function stemLimit(valve: Valve, site: SiteRules): Length {
  const { diameter } = valve.features.stem;
  return diameter !== undefined && compare(diameter, inches(1)) > 0
    ? site.stemTirAboveOneInch
    : site.stemTirToOneInch;
}

/** The call on a stem from its runout. */
export function callOnRunout(valve: Valve, site: SiteRules, runout: StemRunout): Call {
  const limit = stemLimit(valve, site);
  const source = siteOr(site);
  const tir = `${format(runout.tir, 'US')}, limit ${format(limit, 'US')}`;
  if (si(runout.tir) <= si(limit) + 1e-12) return { part: 'stem', ...ruled('fit', `TIR ${tir}`, source) };
  if (valueIn(runout.bow, 'thou') * 2 < valueIn(runout.outOfRound, 'thou') / 2) {
    return {
      part: 'stem',
      ...ruled('renew', `TIR ${tir}: out of round, and packing rides on an oval`, source),
    };
  }
  return site.straighteningAllowed
    ? {
        part: 'stem',
        ...ruled('rework', `TIR ${tir}: bent; this site allows straightening`, source, 'straighten'),
      }
    : {
        part: 'stem',
        ...ruled('renew', `TIR ${tir}: bent; it leaks through good packing and wears its bushing`, source),
      };
}

/** Rules that are the site's own carry its name; untouched defaults are common practice. */
export function siteOr(site: SiteRules): Source {
  return site.name === COMMON_PRACTICE.name ? COMMON_PRACTICE : siteRule(site.name);
}

/** Parts that are new at every overhaul. */
export function callOnPolicy(part: PartRole): Call {
  return {
    part,
    ...ruled(
      'renew',
      part === 'packing'
        ? 'the stem leaves it: always new'
        : 'once crushed it does not seal again: always new',
    ),
  };
}
