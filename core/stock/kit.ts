import { z } from 'zod';
import { ELASTOMERS, type SealLubricant } from '../standards';
import type { StandingCall } from '../calls';
import { consumableOf } from '../procedure';
import type { Plan } from '../plan';
import { partsOf, PART_ROLES, type Features, type Part, type PartRole, type Valve } from '../valve';
import { elastomerCompatibility } from '../workings';
import { sealMedium } from './seal-medium';

/** One printed sheet covers several kits: each line says in which of them it lies. */
export const kitSheetSchema = z.strictObject({
  number: z.string().trim().min(1).max(60),
  title: z.string().trim().min(1).max(120),
  construction: z.string().max(40),
  kits: z
    .array(
      z.strictObject({
        code: z.string().trim().min(1).max(60),
        /** The features this kit is for, as axis.choice: value. An empty one fits every valve of the construction. */
        fits: z.record(z.string().max(60), z.union([z.string().max(60), z.boolean()])),
      }),
    )
    .min(1)
    .max(20),
  lines: z
    .array(
      z.strictObject({
        line: z.string().trim().min(1).max(20),
        name: z.string().trim().min(1).max(120),
        part: z.enum(PART_ROLES),
        quantity: z.int().min(1).max(99),
        kits: z.array(z.string().max(60)).min(1),
        elastomer: z.enum(ELASTOMERS).exactOptional(),
      }),
    )
    .min(1)
    .max(200),
});
export type KitSheet = z.output<typeof kitSheetSchema>;
export type KitLine = KitSheet['lines'][number];

/** What was counted in the bag. */
export interface Counted {
  readonly line: string;
  readonly count: number;
  readonly cureDate?: string;
}

/** The five things that can be said of a line, and what to do about it. */
export type KitVerdict =
  'belongs and present' | 'belongs and missing' | 'not for this variant' | 'not for this valve' | 'in no kit';

export interface SealVerdict {
  readonly verdict: 'fit' | 'ask' | 'stop';
  readonly reasons: readonly string[];
}

export interface KitRow {
  readonly verdict: KitVerdict;
  readonly line: string;
  readonly name: string;
  readonly part: PartRole;
  readonly wanted: number;
  readonly counted: number;
  readonly words: string;
  /** Seals that were counted: age, medium and lubricant. */
  readonly seal?: SealVerdict;
}

export interface KitCheck {
  readonly kit: string;
  readonly rows: readonly KitRow[];
  /** Everything that belongs is there, whole and within its life. */
  readonly complete: boolean;
}

/** The kit of a sheet that is made for this valve: the one whose features all agree, the most particular first. */
export function kitFor(sheet: KitSheet, valve: Valve): string | undefined {
  return [...sheet.kits]
    .sort((a, b) => Object.keys(b.fits).length - Object.keys(a.fits).length)
    .find(({ fits }) =>
      Object.entries(fits).every(([path, value]) => featureAt(valve.features, path) === value),
    )?.code;
}

function featureAt(features: Features, path: string): unknown {
  return path
    .split('.')
    .reduce<unknown>(
      (at, key) =>
        typeof at === 'object' && at !== null
          ? Object.entries(at).find(([name]) => name === key)?.[1]
          : undefined,
      features,
    );
}

export interface KitQuestion {
  readonly sheet: KitSheet;
  readonly kit: string;
  readonly valve: Valve;
  /** Its plan: what calls ask for, and what each part is lubricated with where it goes in. */
  readonly plan: Pick<Plan, 'calls' | 'steps'>;
  readonly counted: readonly Counted[];
  /** ISO date. */
  readonly today: string;
}

/** The bag against its sheet, this valve and its calls. Source: common practice. */
export function checkKit(question: KitQuestion): KitCheck {
  const {
    sheet,
    kit,
    valve,
    plan: { calls },
  } = question;
  const parts = new Map(partsOf(valve).map((part) => [part.role, part]));
  const onSheet = sheet.lines.flatMap((line) => rowOf(question, line, parts) ?? []);
  const covered = new Set(sheet.lines.filter(({ kits }) => kits.includes(kit)).map(({ part }) => part));
  const uncovered = [...parts.values()]
    .filter((part) => !covered.has(part.role) && wantedBesides(part, calls.get(part.role)))
    .map((part): KitRow => ({
      verdict: 'in no kit',
      line: '',
      name: part.name,
      part: part.role,
      wanted: part.quantity,
      counted: 0,
      words:
        calls.get(part.role)?.verdict === 'renew'
          ? 'renewed by its call, and no kit has it: order it now'
          : 'no kit has it: order it now if there is any doubt, not with the valve in pieces',
    }));
  const rows = [...onSheet, ...uncovered];
  return {
    kit,
    rows,
    complete: rows.every(
      ({ verdict, seal }) => verdict !== 'belongs and missing' && seal?.verdict !== 'stop',
    ),
  };
}

function rowOf(
  { kit, counted, valve, today, plan }: KitQuestion,
  line: KitLine,
  parts: ReadonlyMap<PartRole, Part>,
): KitRow | undefined {
  const found = counted.find((each) => each.line === line.line);
  const count = found?.count ?? 0;
  const here = parts.has(line.part);
  const belongs = line.kits.includes(kit) && here;
  const common = { line: line.line, name: line.name, part: line.part, counted: count };
  if (belongs) {
    const short = line.quantity - count;
    const seal =
      count > 0 && line.elastomer
        ? {
            seal: sealVerdict(
              line.elastomer,
              valve,
              lubricantFor(line.part, plan.steps),
              today,
              found?.cureDate,
            ),
          }
        : {};
    return short > 0
      ? {
          ...common,
          ...seal,
          verdict: 'belongs and missing',
          wanted: line.quantity,
          words: count === 0 ? 'should be in the bag' : `${short} short`,
        }
      : { ...common, ...seal, verdict: 'belongs and present', wanted: line.quantity, words: 'in the bag' };
  }
  if (count > 0) {
    return {
      ...common,
      verdict: 'not for this valve',
      wanted: 0,
      words: here
        ? `packed for kit ${line.kits.join(', ')}: do not fit it`
        : 'this valve has no such part: do not fit it',
    };
  }
  return {
    ...common,
    verdict: 'not for this variant',
    wanted: 0,
    words: `on the sheet for kit ${line.kits.join(', ')}: do not look for it`,
  };
}

/** What a kit is asked to bring, and seats that come out: what nobody thinks of until the valve is apart. */
function wantedBesides(part: Part, call: StandingCall | undefined): boolean {
  if (part.stays) return false;
  if (call?.verdict === 'renew' || part.policy === 'renew always') return true;
  return SEATS.includes(part.role);
}

const SEATS: readonly PartRole[] = [
  'port seat',
  'removable seat',
  'seat ring',
  'seat',
  'left seat',
  'right seat',
];

/** The lubricant of the step that puts a part in; none where that step brings none. */
export function lubricantFor(part: PartRole, steps: Plan['steps']): SealLubricant {
  const brought = steps.find(({ on }) => on.includes(part))?.consumables ?? [];
  return brought.flatMap((name) => consumableOf(name).lubricant ?? [])[0] ?? 'none';
}

function sealVerdict(
  elastomer: NonNullable<KitLine['elastomer']>,
  valve: Valve,
  lubricant: SealLubricant,
  today: string,
  cureDate: string | undefined,
): SealVerdict {
  const medium = sealMedium(valve.medium?.name);
  const asked = elastomerCompatibility.input.safeParse({
    elastomer,
    ...(medium === undefined ? {} : { medium }),
    lubricant,
    ...(valve.medium?.temperature ? { temperature: valve.medium.temperature } : {}),
    ...(cureDate === undefined || cureDate.trim() === '' ? {} : { cureDate }),
    on: today,
  });
  if (!asked.success) {
    return {
      verdict: 'ask',
      reasons: [`Cure date “${cureDate ?? ''}” cannot be read: write it as on the bag, such as 2Q24.`],
    };
  }
  const worked = elastomerCompatibility.work(asked.data);
  if (!worked.ok) return { verdict: 'ask', reasons: ['Its age or medium cannot be judged: ask.'] };
  const { verdict, reasons } = worked.value.result;
  const unknown = [
    ...(medium === undefined
      ? [`Medium “${valve.medium?.name ?? 'unknown'}” is not in the table: ask.`]
      : []),
    ...(cureDate === undefined || cureDate.trim() === '' ? ['No cure date on the bag: ask.'] : []),
  ];
  return {
    verdict: verdict === 'fit' && unknown.length > 0 ? 'ask' : verdict,
    reasons: [...reasons, ...unknown],
  };
}
