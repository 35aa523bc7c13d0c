import { z } from 'zod';

/** A schema of the document, as much of it as is shown. */
export interface Shape {
  readonly $ref?: string | undefined;
  readonly type?: string | readonly string[] | undefined;
  readonly const?: unknown;
  readonly enum?: readonly unknown[] | undefined;
  readonly format?: string | undefined;
  readonly pattern?: string | undefined;
  readonly minimum?: number | undefined;
  readonly maximum?: number | undefined;
  readonly maxLength?: number | undefined;
  readonly maxItems?: number | undefined;
  readonly properties?: Readonly<Record<string, Shape>> | undefined;
  readonly required?: readonly string[] | undefined;
  readonly items?: Shape | undefined;
  readonly oneOf?: readonly Shape[] | undefined;
  readonly anyOf?: readonly Shape[] | undefined;
}
const shape: z.ZodType<Shape> = z.lazy(() =>
  z.looseObject({
    $ref: z.string().optional(),
    type: z.union([z.string(), z.array(z.string())]).optional(),
    enum: z.array(z.unknown()).optional(),
    format: z.string().optional(),
    pattern: z.string().optional(),
    minimum: z.number().optional(),
    maximum: z.number().optional(),
    maxLength: z.number().optional(),
    maxItems: z.number().optional(),
    properties: z.record(z.string(), shape).optional(),
    required: z.array(z.string()).optional(),
    items: z.union([shape, z.boolean().transform((): Shape => ({}))]).optional(),
    oneOf: z.array(shape).optional(),
    anyOf: z.array(shape).optional(),
  }),
);

const content = z.record(z.string(), z.object({ schema: shape }));
const asked = z.object({
  operationId: z.string(),
  summary: z.string(),
  tags: z.array(z.string()),
  security: z.array(z.record(z.string(), z.array(z.string()))),
  parameters: z.array(
    z.object({
      name: z.string(),
      in: z.string(),
      required: z.boolean(),
      description: z.string().optional(),
      schema: shape,
    }),
  ),
  requestBody: z.object({ content }).optional(),
  responses: z.record(z.string(), z.object({ description: z.string(), content: content.optional() })),
});
export type Asked = z.output<typeof asked>;

/** The document that the server gives. */
export const documentView = z.object({
  openapi: z.string(),
  info: z.object({ title: z.string(), version: z.string(), description: z.string() }),
  tags: z.array(z.object({ name: z.string() })),
  paths: z.record(z.string(), z.record(z.string(), asked)),
  components: z.object({ schemas: z.record(z.string(), shape) }),
});
export type InterfaceDocument = z.output<typeof documentView>;

/** Something that can be asked, with how. */
export interface Way {
  readonly method: string;
  readonly path: string;
  readonly asked: Asked;
}

/** All that can be asked, by group, of which these words are in its path, name or summary. */
export function waysOf(
  document: InterfaceDocument,
  word: string,
): { readonly group: string; readonly ways: readonly Way[] }[] {
  const wanted = word.trim().toLowerCase().split(/\s+/);
  const all = Object.entries(document.paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, each]): Way => ({ method, path, asked: each })),
  );
  const found = all.filter(({ path, asked: { operationId, summary } }) => {
    const text = `${path} ${operationId} ${summary}`.toLowerCase();
    return wanted.every((each) => text.includes(each));
  });
  return document.tags
    .map(({ name: group }) => ({ group, ways: found.filter(({ asked: { tags } }) => tags.includes(group)) }))
    .filter(({ ways }) => ways.length > 0);
}

/** Who may ask it, in words. */
export function whoMay({ security }: Asked): string {
  const scopes = security.flatMap((each) => each['token'] ?? []);
  const people = security.some((each) => each['session'] !== undefined);
  if (security.length === 0) return 'anybody';
  return [
    ...(people ? ['whoever is signed in'] : []),
    ...(scopes.length > 0 ? [`a token for ${scopes.join(', ')}`] : []),
  ].join('; ');
}

/** The name that a reference is to. */
export const nameOf = ({ $ref }: Shape): string | undefined => $ref?.split('/').at(-1);

/** A schema in a few words, its own parts left to be opened. */
export function inWords(of: Shape): string {
  const name = nameOf(of);
  if (name !== undefined) return name;
  if (of.const !== undefined) return JSON.stringify(of.const);
  if (of.enum) return of.enum.map((each) => JSON.stringify(each)).join(' | ');
  const several = of.oneOf ?? of.anyOf;
  if (several) return several.length > 6 ? `one of ${several.length}` : several.map(inWords).join(' or ');
  if (of.type === 'array') return `list of ${of.items ? inWords(of.items) : 'anything'}`;
  const type = typeof of.type === 'string' ? of.type : (of.type?.join(' or ') ?? 'anything');
  const limits = [
    of.format,
    ...(of.minimum === undefined || of.minimum <= Number.MIN_SAFE_INTEGER ? [] : [`from ${of.minimum}`]),
    ...(of.maximum === undefined || of.maximum >= Number.MAX_SAFE_INTEGER ? [] : [`to ${of.maximum}`]),
    ...(of.maxLength === undefined ? [] : [`${of.maxLength} letters at most`]),
  ].filter(Boolean);
  return limits.length > 0 ? `${type} (${limits.join(', ')})` : type;
}

/** The parts of a schema that can be opened, with what each is called. */
export function partsOf(
  of: Shape,
  schemas: InterfaceDocument['components']['schemas'],
): { readonly name: string; readonly shape: Shape; readonly isLeftOut: boolean }[] {
  const name = nameOf(of);
  const itself = name === undefined ? of : schemas[name];
  if (!itself) return [];
  if (itself.properties)
    return Object.entries(itself.properties).map(([key, part]) => ({
      ...{ name: key, shape: part },
      isLeftOut: !(itself.required ?? []).includes(key),
    }));
  if (itself.items) return partsOf(itself.items, schemas);
  return (itself.oneOf ?? itself.anyOf ?? [])
    .filter((part) => partsOf(part, schemas).length > 0)
    .map((part, i) => {
      const kind = part.properties?.['kind']?.const;
      const called = typeof kind === 'string' ? kind : (nameOf(part) ?? `way ${i + 1}`);
      return { name: called, shape: part, isLeftOut: false };
    });
}
