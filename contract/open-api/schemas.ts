import { commandSchema } from '@dusk-wren/core/command';
import { entrySchema } from '@dusk-wren/core/job';
import { valveSchema } from '@dusk-wren/core/valve';
import { z } from 'zod';
import { jobLine } from '../api';
import { problemBody } from '../http-problem';
import { stockPart } from '../stock';
import { registerLine } from '../valves';
import { OPERATIONS } from './operations';

/** A schema of JSON, draft 2020-12, as OpenAPI 3.1 has it. */
export type JsonSchema = Readonly<Record<string, unknown>>;

const WHERE = '#/components/schemas/';
const named = z.registry<{ id: string }>();
const NAMES: readonly (readonly [string, z.ZodType])[] = [
  ['Command', commandSchema],
  ['Entry', entrySchema],
  ['Valve', valveSchema],
  ['JobLine', jobLine],
  ['RegisterLine', registerLine],
  ['StockPart', stockPart],
  ['Problem', problemBody],
];
const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);
for (const [id, schema] of NAMES) named.add(schema, { id });
for (const { id, body, answer, stale } of OPERATIONS) {
  const its: readonly (readonly [string, z.ZodType | undefined])[] = [
    ['Request', body],
    ['Answer', 'json' in answer ? answer.json : undefined],
    ['Stale', stale],
  ];
  for (const [what, schema] of its)
    if (schema && !named.has(schema)) named.add(schema, { id: `${capital(id)}${what}` });
}

/** Where a schema of an operation stands in the document. */
export function refTo(schema: z.ZodType): { readonly $ref: string } {
  const meta = named.get(schema);
  if (!meta) throw new Error('a schema that no operation names');
  return { $ref: WHERE + meta.id };
}

/** As JSON goes over the line, in both directions: what is read out of it here is nobody else’s business. */
const OVER_THE_LINE = { io: 'input', uri: (id: string) => WHERE + id } as const;

const bare = ({ $schema: _draft, $id: _uri, id: _name, ...rest }: JsonSchema): JsonSchema => rest;

/** Where the library puts what refers to itself; in a document it has a name as all others have. */
const SHARED = '__shared';
const jsonSchemas = z.record(z.string(), z.record(z.string(), z.unknown()));

/** Every schema that the document names. */
export function namedSchemas(): Readonly<Record<string, JsonSchema>> {
  const { [SHARED]: shared, ...own } = z.toJSONSchema(named, OVER_THE_LINE).schemas;
  const itself = Object.entries(shared?.$defs ?? {}).map(([name, schema]) => [capital(name), schema]);
  const text = JSON.stringify({ ...own, ...Object.fromEntries(itself) }).replace(
    new RegExp(`${SHARED}#/\\$defs/(\\w+)`, 'g'),
    (_all, name: string) => capital(name),
  );
  const schemas = jsonSchemas.parse(JSON.parse(text));
  return Object.fromEntries(Object.entries(schemas).map(([id, schema]) => [id, bare(schema)]));
}

/** A schema that stands where it is used. */
export const schemaOf = (schema: z.ZodType): JsonSchema => bare(z.toJSONSchema(schema, { io: 'input' }));
