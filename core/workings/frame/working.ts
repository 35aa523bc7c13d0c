import type { z } from 'zod';
import { issuesFromZod, refuse, type Result } from '../../problem';
import type { Quantity } from '../../quantity';
import type { Source } from '../../standards';
import type { WithKnownVerdict } from './verdict';
import { fieldMeta, type FieldMeta } from './field';

/** What a working may answer with, beside quantities: plain numbers, words, yes or no, and lists of these. */
export type Plain = string | number | boolean;
export type ResultValue =
  Quantity | Plain | readonly ResultValue[] | { readonly [name: string]: ResultValue };

/** One line of a working, so that a person can follow it by hand. */
export interface Step {
  readonly label: string;
  readonly formula: string;
  /** The same formula with the numbers put in. */
  readonly substituted: string;
  readonly result: string;
}

export interface Worked<R> {
  readonly result: R;
  readonly steps: readonly Step[];
  /** What to know about this answer: range left, scatter, which table row, what to verify. */
  readonly notes: readonly string[];
  readonly source: Source;
}

export interface Working<I extends z.ZodObject = z.ZodObject, R = unknown> {
  readonly id: string;
  readonly title: string;
  /** What a person would type to find it. */
  readonly asks: readonly string[];
  /** What it answers, in a sentence. */
  readonly meaning: string;
  readonly input: I;
  /** A label for every named result. */
  readonly results: { readonly [K in keyof R]-?: string };
  readonly source: Source;
  readonly work: (input: z.output<I>) => Result<Worked<R>>;
}

/** A working as the registry holds it: raw input in, any result out. */
export interface RegisteredWorking {
  readonly id: string;
  readonly title: string;
  readonly asks: readonly string[];
  readonly meaning: string;
  readonly fields: readonly Field[];
  readonly results: Readonly<Record<string, string>>;
  readonly source: Source;
  /** Reads raw input (texts, JSON), then works; anything unreadable is refused field by field. */
  readonly run: (raw: unknown) => Result<Worked<Readonly<Record<string, ResultValue | undefined>>>>;
}

/** Raw input with the day filled in that the core must not know by itself; `today` as 2026-03-01. */
export function onDay(working: RegisteredWorking, raw: unknown, today: string): unknown {
  const field = working.fields.find(({ name, kind }) => kind === 'date' && name === 'on');
  const isRecord = typeof raw === 'object' && raw !== null && !Array.isArray(raw);
  return field && isRecord && !('on' in raw) ? { ...raw, on: today } : raw;
}

export type Field = FieldMeta & { readonly name: string; readonly optional: boolean };

export function register<I extends z.ZodObject, R extends object>(
  working: Working<I, R> & WithKnownVerdict<R>,
): RegisteredWorking {
  return {
    ...working,
    results: working.results,
    fields: fieldsOf(working.input),
    run: (raw) => {
      const read = working.input.safeParse(raw);
      if (!read.success) return refuse({ code: 'input.invalid', issues: issuesFromZod(read.error) });
      const worked = working.work(read.data);
      return worked.ok
        ? {
            ok: true,
            value: { ...worked.value, result: Object.fromEntries(Object.entries(worked.value.result)) },
          }
        : worked;
    },
  };
}

function fieldsOf(input: z.ZodObject): Field[] {
  return Object.entries<z.core.$ZodType>(input.shape).map(([name, schema]) => {
    const optional = schema._zod.optin === 'optional';
    const meta = fieldMeta.get(optional ? innermost(schema) : schema);
    if (!meta) throw new Error(`the field ${name} has no label`);
    return { ...meta, name, optional };
  });
}

function innermost(schema: z.core.$ZodType): z.core.$ZodType {
  const { def } = schema._zod;
  return 'innerType' in def && isSchema(def.innerType) ? def.innerType : schema;
}

function isSchema(value: unknown): value is z.core.$ZodType {
  return typeof value === 'object' && value !== null && '_zod' in value;
}
