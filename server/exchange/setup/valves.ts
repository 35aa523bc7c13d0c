import { STANDINGS } from '@dusk-wren/contract';
import { formatSize, parseSize, PRESSURE_CLASSES } from '@dusk-wren/core/standards';
import {
  bareFeatures,
  blankDraft,
  CONSTRUCTION_IDS,
  CONSTRUCTIONS,
  valveFrom,
  valveSchema,
  type ConstructionId,
  type Valve,
} from '@dusk-wren/core/valve';
import { z } from 'zod';
import { noteChange } from '../../database/setup-changes';
import { everyValve, valvesNamed } from '../../database/valve-register';
import { valveAdded, valvePut } from '../../database/valve-moves';
import { toCsv, type CsvRow } from '../csv';
import { setupFile, type SetupFile } from './setup-file';

const oneOf = (words: readonly string[]) => `one of ${words.join(', ')}`;
const words = (most: number, none: string) =>
  z.string().trim().min(1, none).max(most, `at most ${most} letters`);
const line = z.object({
  valve: valveSchema.extend({
    tag: words(40, 'a valve has a tag'),
    customer: words(80, 'a valve has a customer'),
    location: words(120, 'a valve that is new has a place'),
    serial: words(60, 'empty').exactOptional(),
    construction: z.enum(CONSTRUCTION_IDS, 'no kind of valve here: write it as the list “Kind” has it'),
    pressureClass: z.literal(PRESSURE_CLASSES, oneOf(PRESSURE_CLASSES.map(String))).exactOptional(),
  }),
  standing: z.enum(STANDINGS, oneOf(STANDINGS)),
});
type Line = z.output<typeof line>;
/** What a row tells of a valve. */
export type Told = Pick<
  Valve,
  'tag' | 'customer' | 'construction' | 'serial' | 'location' | 'nps' | 'pressureClass' | 'medium' | 'plate'
>;

const HEADING = ['tag', 'customer', 'kind'];
const MAY = ['serial', 'place', 'size', 'class', 'medium', 'hazards', 'model', 'stands'];
/** As many as are written while somebody waits. */
const MOST_VALVES = 2000;

const cellsOf = (valve: Told, standing: string): string[] => [
  ...[valve.tag, valve.customer, CONSTRUCTIONS[valve.construction].name],
  ...[valve.serial ?? '', valve.location],
  ...[valve.nps === undefined ? '' : formatSize({ nps: valve.nps }), String(valve.pressureClass ?? '')],
  ...[valve.medium?.name ?? '', (valve.medium?.hazards ?? []).join(' | ')],
  ...[valve.plate?.model ?? '', standing],
];

/** A kind by its name, or by the name that the command line has for it; what is none stays, to be refused. */
const kindOf = (cell: string): ConstructionId | undefined =>
  CONSTRUCTION_IDS.find((id) => [id, CONSTRUCTIONS[id].name.toLowerCase()].includes(cell.toLowerCase()));

/** Refused as no nominal size. */
const NO_SIZE = -1;

/** What a row says of a valve that is here or new; what it leaves empty is as it was. */
function read(cells: CsvRow['cells'], was: Line | undefined): z.ZodSafeParseResult<Line> {
  const said = (column: string): string | undefined => cells[column] || undefined;
  const construction = kindOf(cells['kind'] ?? '');
  const base = was?.valve ?? bare(construction ?? 'globe-bolted');
  const size = said('size');
  const sized = size === undefined ? undefined : parseSize(size);
  const medium = said('medium');
  const hazards = said('hazards');
  return line.safeParse({
    standing: said('stands') ?? was?.standing ?? 'in place',
    valve: {
      ...base,
      ...{ tag: was?.valve.tag ?? cells['tag'], customer: was?.valve.customer ?? cells['customer'] },
      construction: construction ?? cells['kind'],
      location: said('place') ?? base.location,
      ...(said('serial') === undefined ? {} : { serial: said('serial') }),
      ...(sized === undefined ? {} : { nps: sized.ok ? sized.value.nps : NO_SIZE }),
      ...(said('class') === undefined ? {} : { pressureClass: Number(said('class')) }),
      ...(medium === undefined && hazards === undefined
        ? {}
        : {
            medium: {
              ...base.medium,
              name: medium ?? base.medium?.name,
              hazards: hazards?.split('|').map((each) => each.trim()) ?? base.medium?.hazards ?? [],
            },
          }),
      ...(said('model') === undefined ? {} : { plate: { ...base.plate, model: said('model') } }),
    },
  });
}

const bare = (construction: ConstructionId): Valve =>
  valveFrom({ ...blankDraft(), construction, features: bareFeatures(construction) });

const COLUMNS: Readonly<Record<string, string>> = {
  construction: 'kind',
  location: 'place',
  nps: 'size',
  pressureClass: 'class',
  plate: 'model',
  standing: 'stands',
};

/** The register as a file: a row a valve, known by its customer and tag. */
export const valvesFile = (): SetupFile =>
  setupFile<Line>({
    heading: HEADING,
    may: MAY,
    most: MOST_VALVES,
    here: async (rows) => (await valvesNamed(rows.map(named))).map(({ id, ...is }) => ({ id, is })),
    nameOf: ({ valve }) => `${valve.customer}: ${valve.tag}`,
    nameIn: (cells) => {
      const { customer, tag } = named(cells);
      return `${customer}: ${tag}`;
    },
    cellsOf: ({ valve, standing }) => cellsOf(valve, standing),
    read,
    column: (path) => {
      const [, field = ''] = /^(?:valve\.)?(\w+)(?:\.(?!hazards).*)?$/.exec(path) ?? [];
      return path.startsWith('valve.medium.hazards') ? 'hazards' : (COLUMNS[field] ?? field);
    },
    refuses: (is, was) =>
      was && was.valve.construction !== is.valve.construction
        ? [`kind: it is ${CONSTRUCTIONS[was.valve.construction].name} here, and says so on its jobs`]
        : [],
    writer: (moment, changes) => async (transaction) => {
      for (const { was, is } of changes)
        if (was) await valvePut(moment, was.id, { ...is, why: 'by a file' }, transaction);
        else await valveAdded(moment, is, transaction);
      const what = `${changes.length} valves by a file`;
      await noteChange({ by: moment.by, at: moment.now, subject: 'valves', what }, transaction);
      return [];
    },
    write: async () => {
      const rows: string[][] = [];
      for await (const { valve, standing } of everyValve()) rows.push(cellsOf(valve, standing));
      return toCsv([...HEADING, ...MAY], rows);
    },
  });

const named = (cells: CsvRow['cells']) => ({
  customer: (cells['customer'] ?? '').trim(),
  tag: (cells['tag'] ?? '').trim(),
});
