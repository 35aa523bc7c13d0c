export { openApiDocument, type OpenApiDocument } from './document';
export { GROUPS, isPersonsWrite, type Operation } from './operation';
export { OPERATIONS } from './operations';
export type { JsonSchema } from './schemas';
