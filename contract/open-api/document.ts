import { z } from 'zod';
import { problemBody } from '../http-problem';
import { MACHINE_SCOPE_WORDS } from '../machine-scopes';
import { TOKEN_ASKS_A_MINUTE } from '../machines';
import { GROUPS, isPersonsWrite, type Answer, type Operation } from './operation';
import { OPERATIONS } from './operations';
import { namedSchemas, refTo, schemaOf, type JsonSchema } from './schemas';

/** An OpenAPI 3.1 document, as much of it as is written here (OpenAPI Specification 3.1.1). */
export interface OpenApiDocument {
  readonly openapi: '3.1.0';
  readonly info: JsonSchema;
  readonly servers: readonly { readonly url: string }[];
  readonly tags: readonly { readonly name: string }[];
  readonly paths: Readonly<Record<string, Readonly<Record<string, JsonSchema>>>>;
  readonly components: {
    readonly schemas: Readonly<Record<string, JsonSchema>>;
    readonly securitySchemes: JsonSchema;
  };
}

const json = (schema: z.ZodType) => ({ 'application/json': { schema: refTo(schema) } });

function answered(answer: Answer): JsonSchema {
  if ('json' in answer) return { description: 'Done', content: json(answer.json) };
  if ('file' in answer)
    return { description: 'A file', content: { [answer.file]: { schema: { type: 'string' } } } };
  return { description: 'Done; nothing to say' };
}

function parametersOf(operation: Operation): JsonSchema[] {
  const inPath = Object.entries(operation.parameters ?? {}).map(([name, description]) => ({
    ...{ name, in: 'path', required: true, description },
    schema: { type: 'string' },
  }));
  const inQuery = Object.entries(operation.query?.shape ?? {}).map(([name, schema]) => ({
    ...{ name, in: 'query', required: !schema.safeParse(undefined).success && !isLeftOut(schema) },
    schema: schemaOf(schema),
  }));
  const ofAWrite =
    isPersonsWrite(operation) && operation.who !== 'anybody'
      ? [{ name: 'x-person', in: 'header', required: true, schema: { type: 'string' } }]
      : [];
  const token = isPersonsWrite(operation)
    ? [{ name: 'x-csrf-token', in: 'header', required: true, schema: { type: 'string' } }]
    : [];
  return [...inPath, ...inQuery, ...token, ...ofAWrite];
}
const isLeftOut = (schema: unknown): boolean => schema instanceof z.ZodExactOptional;

/** Who may ask: a session for people, a token of the scope for machines. */
function securityOf({ who, scope }: Operation): JsonSchema[] {
  if (who === 'anybody') return [];
  return [
    ...(who === 'machine' ? [] : [{ session: [] }]),
    ...(scope === undefined ? [] : [{ token: [scope] }]),
  ];
}

function described(operation: Operation): JsonSchema {
  const { id, summary, group, body, answer, stale, who, scope } = operation;
  const words = [
    ...(who === 'lead' ? ['For a lead.'] : []),
    ...(scope === undefined ? [] : [`A machine’s token may, with the scope \`${scope}\`.`]),
  ];
  return {
    ...{ operationId: id, summary, tags: [group], security: securityOf(operation) },
    ...(words.length > 0 ? { description: words.join(' ') } : {}),
    parameters: parametersOf(operation),
    ...(body === undefined ? {} : { requestBody: { required: true, content: json(body) } }),
    responses: {
      [String(answer.status)]: answered(answer),
      ...(stale === undefined
        ? {}
        : { '409': { description: 'The job has grown: what was missed', content: json(stale) } }),
      default: { description: 'Refused, and why', content: json(problemBody) },
    },
  };
}

const SCOPES = Object.entries(MACHINE_SCOPE_WORDS).map(([scope, words]) => `\`${scope}\`: ${words}`);
const TOKEN_WORDS = [
  `Made by a lead on *Setup → Machines*. ${SCOPES.join('; ')}.`,
  `${TOKEN_ASKS_A_MINUTE} requests a minute on each server; whoever asks more is refused with 429, and when to come again.`,
].join(' ');

/** Of what is open to other programs; what they read today is read tomorrow as long as this stays. */
const VERSION = '1.0.0';

/** The document, made from the operations and the schemas that the server itself reads requests with. */
export function openApiDocument(): OpenApiDocument {
  const paths: Record<string, Record<string, JsonSchema>> = {};
  for (const operation of OPERATIONS)
    paths[operation.path] = { ...paths[operation.path], [operation.method]: described(operation) };
  return {
    openapi: '3.1.0',
    info: {
      ...{ title: 'Dusk Wren', version: VERSION },
      description:
        'What a shop’s server gives to and takes from other programs. Figures in requests may be texts with their unit, as somebody types them; figures in answers have SI values and the unit that they were entered in.',
    },
    servers: [{ url: '/api' }],
    tags: GROUPS.map((name) => ({ name })),
    paths,
    components: {
      schemas: namedSchemas(),
      securitySchemes: {
        session: { type: 'apiKey', in: 'cookie', name: 'dusk-wren' },
        token: {
          ...{ type: 'http', scheme: 'bearer' },
          description: TOKEN_WORDS,
        },
      },
    },
  };
}
