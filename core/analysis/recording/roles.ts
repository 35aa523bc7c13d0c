import { parseQuantity, si, type Dimension } from '../../quantity';

/** What a column of a stroke recording is. */
export const RECORDING_ROLES = ['time', 'signal', 'pressure', 'pressure 2', 'travel'] as const;
export type RecordingRole = (typeof RECORDING_ROLES)[number];

const DIMENSIONS: Readonly<Record<RecordingRole, readonly [Dimension, ...Dimension[]]>> = {
  time: ['time'],
  signal: ['ratio', 'current', 'gauge pressure'],
  pressure: ['gauge pressure', 'absolute pressure'],
  'pressure 2': ['gauge pressure', 'absolute pressure'],
  travel: ['length', 'ratio', 'angle'],
};

/** Words that name a role in a header, the surer first. */
const WORDS: readonly (readonly [RegExp, RecordingRole])[] = [
  [/time|zeit|temps|\bt\b|sec/i, 'time'],
  [/travel|position|stroke|stem|\bx\b|lift|hub/i, 'travel'],
  [/(pressure|press|druck|\bp)\s*_?\s*(2|b|bottom|lower)/i, 'pressure 2'],
  [/pressure|press|druck|actuator|diaphragm|output|\bp\b|\bp1\b/i, 'pressure'],
  [/signal|set\s*-?point|command|input|demand|current|\bsp\b/i, 'signal'],
];

const ATMOSPHERE = 101_325;

export interface ColumnMeaning {
  readonly column: number;
  readonly dimension: Dimension;
  readonly unit: string;
  /** SI value = number × factor + offset. */
  readonly factor: number;
  readonly offset: number;
}

export type RecordingColumns = Partial<Record<RecordingRole, ColumnMeaning>>;

/** A header's name and unit: `Travel [mm]`, `Pressure (psi)`, `Signal, mA`, `travel_mm`. */
function nameAndUnit(header: string): { name: string; unit: string } {
  const bracketed = /^(.*?)\s*[([]\s*([^)\]]+?)\s*[)\]]\s*$/.exec(header);
  if (bracketed) return { name: bracketed[1] ?? '', unit: bracketed[2] ?? '' };
  const apart = /^(.*?)(?:\s*[,/]\s*|_|\s+in\s+|\s+)([^\s,/_]+)$/.exec(header);
  return { name: header, unit: apart?.[2] ?? '' };
}

/** What a header means in a role; undefined when its unit is of another kind, or none that is known. */
function meaningIn(header: string, column: number, role: RecordingRole): ColumnMeaning | undefined {
  const { unit } = nameAndUnit(header);
  for (const dimension of DIMENSIONS[role]) {
    const [one, none] = [`1 ${unit}`, `0 ${unit}`].map((text) => parseQuantity(text, dimension));
    if (one?.ok && none?.ok && (unit !== '' || dimension === 'ratio'))
      return {
        column,
        dimension,
        unit: one.value.unit,
        factor: si(one.value) - si(none.value),
        // Gauge pressure is what an actuator feels.
        offset: si(none.value) - (dimension === 'absolute pressure' ? ATMOSPHERE : 0),
      };
  }
  return undefined;
}

export interface MappedColumns {
  readonly columns: RecordingColumns;
  /** Headers that could not be used, with the reason. */
  readonly unused: readonly { readonly header: string; readonly why: string }[];
}

/**
 * Guesses what each column is from its name, and reads its unit from the header. `chosen` gives the column of a role
 * outright, by header or by place from 0.
 */
export function mapColumns(
  headers: readonly string[],
  chosen: Partial<Record<RecordingRole, string | number>> = {},
): MappedColumns {
  const columns: RecordingColumns = {};
  const unused: { header: string; why: string }[] = [];
  const taken = new Set<number>();
  const take = (role: RecordingRole, column: number) => {
    const header = headers[column] ?? '';
    const meaning = meaningIn(header, column, role);
    if (meaning) columns[role] = meaning;
    else unused.push({ header, why: `its unit is none of ${role}` });
    taken.add(column);
  };
  for (const role of RECORDING_ROLES) {
    const wanted = chosen[role];
    const column = typeof wanted === 'string' ? headers.indexOf(wanted) : wanted;
    if (column !== undefined && column >= 0 && column < headers.length) take(role, column);
  }
  headers.forEach((header, column) => {
    if (taken.has(column)) return;
    const role = WORDS.find(
      ([words, each]) =>
        words.test(nameAndUnit(header).name.replaceAll('_', ' ')) && columns[each] === undefined,
    )?.[1];
    if (role) take(role, column);
    else unused.push({ header, why: 'not a column of a stroke' });
  });
  return { columns, unused };
}
