import { describeSource } from '@dusk-wren/core/standards';
import { findWorking, isList, isQuantity, onDay, WORKINGS, type ResultValue } from '@dusk-wren/core/workings';
import { refused, UsageError } from './usage';

const LARGEST_INPUT = 256_000_000;

/** `calc` lists the workings; `calc ID` works one from standard input. */
export async function calc(args: readonly string[], input: AsyncIterable<Uint8Array>): Promise<unknown> {
  const [id, ...more] = args;
  if (id === undefined) {
    return WORKINGS.map((working) => ({
      id: working.id,
      title: working.title,
      input: Object.fromEntries(
        working.fields.map(({ name, label, kind, optional }) => [
          optional ? `${name}?` : name,
          `${label} (${kind})`,
        ]),
      ),
      results: working.results,
    }));
  }
  if (more.length > 0) throw new UsageError(`calc takes one working; “${more.join(' ')}” is too much.`);
  const working = findWorking(id);
  if (!working.ok) throw refused(working.problem);
  const worked = working.value.run(
    onDay(working.value, parsed(await whole(input)), new Date().toISOString().slice(0, 10)),
  );
  if (!worked.ok) throw refused(worked.problem);
  const { result, steps, notes, source } = worked.value;
  return {
    id,
    result: Object.fromEntries(
      Object.entries(result).map(([name, value]) => [name, value === undefined ? undefined : plainly(value)]),
    ),
    steps,
    notes,
    source: describeSource(source),
  };
}

/** Quantities as {value, unit}; everything else as it is. */
function plainly(value: ResultValue): unknown {
  if (typeof value !== 'object') return value;
  if (isList(value)) return value.map(plainly);
  if (isQuantity(value)) return { value: value.value, unit: value.unit };
  return Object.fromEntries(Object.entries(value).map(([name, each]) => [name, plainly(each)]));
}

async function whole(input: AsyncIterable<Uint8Array>): Promise<string> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of input) {
    chunks.push(chunk);
    size += chunk.length;
    if (size > LARGEST_INPUT) throw new UsageError('Standard input is too large for a working.');
  }
  return Buffer.concat(chunks).toString('utf8');
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new UsageError(
      'Standard input is not a JSON object. Try: echo \'{"class": 600}\' | npm run -s dw -- calc test.pressures',
    );
  }
}
