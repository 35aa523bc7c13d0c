import { describe, expect, it } from 'vitest';
import { personId, photoId, type PersonStamp } from '../job';
import { must } from '../problem';
import { kitSheetSchema } from '../stock';
import { BenchJob, id, LEAD } from '../testing/bench';
import { defaultValve, valveKey } from '../valve';
import { decide, NOT_KNOWN_HERE, readCommand, type Edge, type RawCommand, type UnitInShop } from '.';

/** What is decided where it is told so much of what is outside the log. */
const decided = (job: BenchJob, command: RawCommand, told: Partial<Edge> = {}) =>
  decide(job.state, must(readCommand(command)), { ...job.edge(LEAD), ...told });
const problemOf = (job: BenchJob, command: RawCommand, told?: Partial<Edge>) =>
  decided(job, command, told).problem?.code;

describe('who a job is given to', () => {
  const job = new BenchJob();
  const named: PersonStamp = { id: personId.parse(id(3)), name: 'as it was sent', role: 'technician' };
  const give: RawCommand = { kind: 'assign-person', body: { person: named } };
  it('has the stamp of the shop, whatever was sent', () => {
    const facts = must(decided(job, give, { colleague: () => ({ ...named, name: 'Ines', role: 'lead' }) }));
    expect(facts).toMatchObject([{ body: { person: { name: 'Ines', role: 'lead' } } }]);
  });
  it('is nobody who does not work here; a screen that cannot know leaves that to the server', () => {
    expect(problemOf(job, give, { colleague: () => undefined })).toBe('person.unknown');
    expect(must(decided(job, give, { colleague: () => NOT_KNOWN_HERE }))).toMatchObject([
      { body: { person: named } },
    ]);
  });
});

describe('a unit taken from the shelf', () => {
  const job = new BenchJob();
  const take: RawCommand = {
    kind: 'take-unit',
    body: { unit: id(50), kind: 'packed bonnet', serial: 'PB 7' },
  };
  const there: UnitInShop = {
    kind: 'packed bonnet',
    serial: 'PB 7',
    key: valveKey(defaultValve()),
    onShelf: true,
  };
  it('stands there, is of that kind and number, and fits', () => {
    expect(decided(job, take, { unit: () => there }).ok).toBe(true);
  });
  it.each<[string, UnitInShop | undefined]>([
    ['it is nowhere', undefined],
    ['somebody has it', { ...there, onShelf: false }],
    ['its number is another', { ...there, serial: 'PB 8' }],
    ['it fits another valve', { ...there, key: 'gate-wedge NPS 3' }],
  ])('is refused where %s', (_name, found) => {
    expect(problemOf(job, take, { unit: () => found })).toBe('unit.not-on-shelf');
  });
});

describe('a photograph', () => {
  const job = new BenchJob();
  const pin: RawCommand = { kind: 'add-photo', body: { photo: photoId.parse(id(60)), caption: 'disc' } };
  it.each([
    [true, undefined],
    [false, 'photo.not-of-job'],
    [NOT_KNOWN_HERE, undefined],
  ] as const)('sent for this job: %s', (sent, problem) => {
    expect(problemOf(job, pin, { isPhotoOfJob: () => sent })).toBe(problem);
  });
});

describe('a kit laid out', () => {
  const job = new BenchJob().workTo('receive.spares');
  const sheet = (construction: string, code: string) =>
    kitSheetSchema.parse({
      number: `PS-${code}`,
      title: 'Kit',
      construction,
      kits: [{ code, fits: {} }],
      lines: [{ line: '1', name: 'Packing', part: 'packing', quantity: 1, kits: [code] }],
    });
  const lay = (kit: string): RawCommand => ({
    kind: 'match-spares',
    body: { step: 'receive.spares', laid: [{ what: 'kit', code: kit }] },
  });
  const told = { kits: () => [sheet('globe-bolted', 'G1'), sheet('gate-wedge', 'W1')] };
  it('that is on file for another valve is refused before anything is kept', () => {
    expect(problemOf(job, lay('W1'), told)).toBe('input.conflict');
    expect(decided(job, lay('G1'), told).ok).toBe(true);
    expect(decided(job, lay('W1'), { kits: () => NOT_KNOWN_HERE }).ok).toBe(true);
  });
});
