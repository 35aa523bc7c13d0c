import { z } from 'zod';
import { issuesFromZod, ok, refuse, type Result } from '../problem';
import { entrySchema, EVENTS, isEventKind, type Entry } from './registry';

const outline = z.looseObject({
  seq: z.int().positive(),
  kind: z.string(),
  format: z.int().positive(),
  body: z.unknown(),
});

/**
 * Reads a stored entry of any format: the body is brought up to the current format by the kind's named upgrades,
 * then parsed. An unknown kind or a newer format is an error, never skipped.
 */
export function readEntry(raw: unknown): Result<Entry> {
  const read = outline.safeParse(raw);
  if (!read.success)
    return refuse({ code: 'event.broken', kind: '', seq: 0, issues: issuesFromZod(read.error) });
  const { seq, kind, format } = read.data;
  if (!isEventKind(kind)) return refuse({ code: 'event.unknown-kind', kind, seq });
  const current = EVENTS[kind];
  if (format > current.format) {
    return refuse({ code: 'event.unknown-format', kind, format, known: current.format });
  }
  const body = current.upgrades
    .slice(format - 1)
    .reduce((older, upgrade) => upgrade.up(older), structuredCopy(read.data.body));
  const entry = entrySchema.safeParse({ ...read.data, format: current.format, body });
  return entry.success
    ? ok(entry.data)
    : refuse({ code: 'event.broken', kind, seq, issues: issuesFromZod(entry.error) });
}

/** Reads a whole log, stopping at the first entry that cannot be read. */
export function readLog(raw: readonly unknown[]): Result<Entry[]> {
  const entries: Entry[] = [];
  for (const each of raw) {
    const read = readEntry(each);
    if (!read.ok) return read;
    entries.push(read.value);
  }
  return ok(entries);
}

/** Upgrades work on a copy: bodies are JSON. */
function structuredCopy(body: unknown): unknown {
  return body === undefined ? undefined : JSON.parse(JSON.stringify(body));
}
