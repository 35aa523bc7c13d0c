import type { Features } from '../valve';
import { CAUSES, type CauseId, type Link } from './causes';
import { checkOf, checksFor, likelihood, type CheckId } from './checks';
import { priorsOf, type Counts, type SymptomId } from './symptoms';

/** One answer got, whatever the order. */
export interface Evidence {
  readonly check: CheckId;
  readonly result: number;
}

export interface Suspect {
  readonly cause: CauseId;
  readonly chance: number;
  /** What each answer did to it, in the order given: the factor on its odds against the rest. */
  readonly moved: readonly number[];
}

export interface NextCheck {
  readonly check: CheckId;
  /** Bits that its answer is expected to be worth. */
  readonly bits: number;
  readonly reason: string;
}

export interface Diagnosis {
  /** Most likely first. */
  readonly suspects: readonly Suspect[];
  /** The check worth most per minute and risk; undefined when the fault is placed or nothing tells more. */
  readonly next: NextCheck | undefined;
  /** Checks worth doing after it, best first. */
  readonly others: readonly NextCheck[];
  readonly placed: boolean;
}

export interface Question {
  readonly symptom: SymptomId;
  readonly features: Features;
  readonly evidence: readonly Evidence[];
  /** What this shop's closed jobs were. */
  readonly counts?: Counts;
}

/** A cause this likely is placed. */
const PLACED = 0.8;
/** A check worth less than this many bits a minute is not proposed. */
const WORTH = 0.005;
/** What every check costs beside its own minutes: going there, writing it down. */
const EACH_MINUTES = 2;
/** What touching, moving or opening costs beside its minutes, in minutes a step. */
const RISK_MINUTES = 3;

/**
 * Where the fault lies: Bayes over the causes that this valve can have, each answer weighed by how often it comes with
 * each cause; next the check with most expected information per minute and risk. The order of the answers is nothing.
 */
export function findFault({ symptom, features, evidence, counts = {} }: Question): Diagnosis {
  const prior = priorsOf(symptom, features, counts);
  const chances = after(prior, evidence);
  const suspects = [...chances]
    .map(([cause, chance]) => ({
      cause,
      chance,
      moved: evidence.map((_, i) => oddsFactor(cause, prior, evidence.slice(0, i + 1))),
    }))
    .sort((a, b) => b.chance - a.chance);
  const placed = suspects[0] !== undefined && isPlaced(suspects[0], evidence);
  const asked = new Set(evidence.map(({ check }) => check));
  const ranked = checksFor(features, symptom)
    .filter((check) => !asked.has(check))
    .map((check) => ({ check, bits: bitsOf(check, chances) }))
    .filter((each) => worth(each) > WORTH)
    .sort((a, b) => worth(b) - worth(a))
    .map((each) => ({ ...each, reason: reasonFor(each.check, chances) }));
  const [best, ...others] = ranked;
  return { suspects, next: placed ? undefined : best, others: placed ? ranked : others, placed };
}

/** Likely enough, and shown: what only answers that all is well have left over is not placed. */
function isPlaced({ cause, chance }: Suspect, evidence: readonly Evidence[]): boolean {
  const isShown = evidence.some(({ check, result }) => result > 0 && checkOf(check).shows[cause] === result);
  return chance >= PLACED && isShown && cause !== 'something else';
}

/** What the last of the answers did to a cause's odds: its own likelihood over that of all the others. */
function oddsFactor(
  cause: CauseId,
  prior: ReadonlyMap<CauseId, number>,
  evidence: readonly Evidence[],
): number {
  const last = evidence.at(-1);
  if (!last) return 1;
  const before = after(prior, evidence.slice(0, -1));
  const own = likelihood(last.check, cause, last.result);
  const chance = before.get(cause) ?? 0;
  const others = (evenly(last, before) - chance * own) / (1 - chance);
  return others > 0 ? own / others : 1;
}

const worth = ({ check, bits }: { check: CheckId; bits: number }): number => {
  const { minutes, invasive } = checkOf(check);
  return bits / (EACH_MINUTES + minutes + RISK_MINUTES * invasive);
};

function after(prior: ReadonlyMap<CauseId, number>, evidence: readonly Evidence[]): Map<CauseId, number> {
  const weighed = [...prior].map(
    ([cause, chance]) =>
      [
        cause,
        evidence.reduce((so, { check, result }) => so * likelihood(check, cause, result), chance),
      ] as const,
  );
  const total = weighed.reduce((sum, [, weight]) => sum + weight, 0);
  return new Map(weighed.map(([cause, weight]) => [cause, total > 0 ? weight / total : 0]));
}

/** How often this answer comes at all, over the causes. */
function evenly({ check, result }: Evidence, chances: ReadonlyMap<CauseId, number>): number {
  return [...chances].reduce((sum, [cause, chance]) => sum + chance * likelihood(check, cause, result), 0);
}

const entropy = (chances: Iterable<number>): number =>
  [...chances].reduce((sum, chance) => (chance > 0 ? sum - chance * Math.log2(chance) : sum), 0);

/** Expected fall of the entropy over the causes, in bits (Shannon, 1948). */
function bitsOf(check: CheckId, chances: ReadonlyMap<CauseId, number>): number {
  const now = entropy(chances.values());
  return checkOf(check).results.reduce((gain, _words, result) => {
    const share = evenly({ check, result }, chances);
    return gain - share * entropy(after(chances, [{ check, result }]).values());
  }, now);
}

/** What it tells apart, in words: links of the chain where it halves the chain, a cause where it settles one. */
function reasonFor(check: CheckId, chances: ReadonlyMap<CauseId, number>): string {
  const { shows } = checkOf(check);
  const likely = [...chances].filter(([, chance]) => chance > 0.005).map(([cause]) => cause);
  const told = likely.filter((cause) => (shows[cause] ?? 0) > 0);
  const rest = likely.filter((cause) => (shows[cause] ?? 0) === 0);
  if (told.length === 0) return 'confirms what is left';
  if (told.length === 1) return `settles “${CAUSES[told[0] ?? 'debris'].name}”`;
  const [here, there] = [linksOf(told), linksOf(rest)];
  const [only, other] = [
    here.filter((link) => !there.includes(link)),
    there.filter((link) => !here.includes(link)),
  ];
  if (only.length > 0 && other.length > 0) return `splits ${only.join(', ')} from ${other.join(', ')}`;
  return `tells ${told.map((cause) => CAUSES[cause].name.toLowerCase()).join(', ')} from the rest`;
}

const linksOf = (causes: readonly CauseId[]): Link[] => [
  ...new Set(causes.map((cause) => CAUSES[cause].link)),
];
