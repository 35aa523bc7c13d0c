import { readFile } from 'node:fs/promises';
import { UsageError } from './usage';

/** What a JSON file holds. */
export async function contentOf(file: string): Promise<unknown> {
  const text = await readFile(file, 'utf8').catch((error: unknown) => {
    throw new UsageError(`${file} cannot be read: ${error instanceof Error ? error.message : String(error)}`);
  });
  try {
    return JSON.parse(text);
  } catch {
    throw new UsageError(`${file} is not JSON.`);
  }
}
