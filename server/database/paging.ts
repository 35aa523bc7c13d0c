import { z } from 'zod';
import { Refusal } from '../refusal';

const cursor = z.tuple([z.string().max(120), z.string().min(1).max(60)]);

/** A place in a list: the value it is ordered by, and the id that settles ties. */
export function encodeCursor(key: string, id: string): string {
  return Buffer.from(JSON.stringify([key, id])).toString('base64url');
}

export function decodeCursor(text: string): { key: string; id: string } {
  const read = cursor.safeParse(parsed(Buffer.from(text, 'base64url').toString('utf8')));
  if (!read.success)
    throw new Refusal({
      code: 'request.invalid',
      issues: [{ path: 'cursor', message: 'not a place in this list' }],
    });
  return { key: read.data[0], id: read.data[1] };
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** A page out of rows of which one more than the limit was asked for, and where the next one begins. */
export function pageOf<R>(
  rows: readonly R[],
  limit: number,
  place: (row: R) => readonly [key: string, id: string],
): { page: readonly R[]; next: string | null } {
  const page = rows.slice(0, limit);
  const last = page.at(-1);
  return { page, next: rows.length > limit && last ? encodeCursor(...place(last)) : null };
}

/** Nothing of what was typed means "anything". */
const literal = (text: string): string => text.replace(/[\\%_]/g, (mark) => `\\${mark}`);

/** What was typed as the beginning of a word. */
export const likePrefix = (text: string): string => `${literal(text)}%`;
