import { QueryTypes, type QueryInterface } from 'sequelize';
import { parseQuantity } from '@dusk-wren/core/quantity';
import { z } from 'zod';

const worded = z.looseObject({
  blocked: z.object({ kind: z.string(), text: z.string(), expected: z.string().exactOptional() }),
});
type Worded = z.output<typeof worded>['blocked'];

/** What stops a job was a sentence, and is data that the reader sees in their own units. */
export async function up(queries: QueryInterface): Promise<void> {
  const rows = await queries.sequelize.query<{ id: string; summary: string }>(
    `SELECT id, summary FROM jobs WHERE summary LIKE '%"blocked"%'`,
    { type: QueryTypes.SELECT },
  );
  for (const { id, summary } of rows) {
    const read = worded.safeParse(JSON.parse(summary));
    if (!read.success) continue;
    const { blocked, ...rest } = read.data;
    const now = asData(blocked);
    await queries.sequelize.query('UPDATE jobs SET summary = :summary WHERE id = :id', {
      replacements: { id, summary: JSON.stringify({ ...rest, ...(now ? { blocked: now } : {}) }) },
    });
  }
}

function asData({ kind, text, expected }: Worded): object | undefined {
  switch (kind) {
    case 'part':
      return { kind, part: text.replace(/^Waits: /, ''), ...(expected === undefined ? {} : { expected }) };
    case 'pressure': {
      const shown = parseQuantity(text.replace(/^Not at zero: /, ''), 'gauge pressure');
      return shown.ok ? { kind, shown: shown.value } : undefined;
    }
    case 'ask':
      return { kind: 'question', step: text };
    default:
      return { kind: 'hold', step: text };
  }
}
