import { earliestEnds } from '../bounds/earliest';
import { grouped } from '../grouped';
import type { Instance, Resource, Task } from '../instance';
import type { Score } from '../score';
import { piecesOf, type Piece } from './pieces';

/** What the solver is asked for: to make one figure less, with those before it no worse than they are. */
export interface Asked {
  readonly level: Level;
  readonly score: Score;
  /** What is not pinned begins before this. */
  readonly until?: number;
}
export type Level = 'hard' | 'late' | 'end';

/** A way to begin: this person, in this piece of open time. */
interface Row extends Piece {
  readonly person: number;
}

/** A model in MiniZinc, and what the rows that it chooses stand for. */
export interface Model {
  readonly text: string;
  readonly rows: readonly (readonly Row[])[];
  /** Weights are whole numbers in the model: where they are not, nothing is proved of them. */
  readonly isExact: boolean;
}

/** The whole instance as a constraint model; its solutions are starts and rows, a task each. */
export function modelOf(instance: Instance, asked: Asked): Model {
  const { tasks } = instance;
  const heads = earliestEnds(instance);
  const latest = Math.min(asked.level === 'end' ? asked.score.end : Infinity, horizonOf(instance));
  const rows = tasks.map((task) =>
    rowsOf(task, heads.start(task), Math.min(latest, asked.until ?? latest, worthOf(task, asked))),
  );
  const isExact = instance.jobs.every(({ weight }) => Number.isInteger(weight));
  const text = [
    'include "disjunctive.mzn";',
    'include "cumulative.mzn";',
    `array[1..${tasks.length}] of var 0..${latest}: s :: add_to_output;`,
    `array[1..${tasks.length}] of var 0..${latest}: e;`,
    ...rows.map(({ length }, i) => `var 1..${Math.max(1, length)}: r${i + 1};`),
    `array[1..${tasks.length}] of var int: r :: add_to_output = [${tasks.map((_, i) => `r${i + 1}`).join()}];`,
    ...tasks.flatMap((task, i) => begins(task, rows[i] ?? [])),
    ...tasks.flatMap((task) =>
      task.before.map(({ task: before, lag }) => `constraint s[${no(task)}] >= e[${no(before)}] + ${lag};`),
    ),
    ...placesOf(instance),
    ...peopleOf(instance, rows),
    ...wanted(instance, asked, isExact ? 1 : SCALE, latest),
  ];
  return { text: text.join('\n'), rows, isExact };
}

const SCALE = 1000;
const no = ({ index }: Task) => index + 1;

/**
 * No plan that is worth having ends later: once all hours that are limited are over, and all releases and pins, something
 * is always under way.
 */
function horizonOf({ tasks }: Instance): number {
  const last = Math.max(
    0,
    ...tasks.flatMap(({ release, pinned = 0, ways }) => [
      release,
      pinned,
      ...ways.map(({ open }) => open?.at(-1)?.to ?? 0),
    ]),
  );
  return tasks.reduce(
    (end, { minutes, after }) => end + minutes + Math.max(0, ...after.map(({ lag }) => lag)),
    last,
  );
}

/** A job that alone is later than all may be together begins nothing so late in a plan that is better. */
function worthOf({ job: { due, hard, weight } }: Task, { level, score }: Asked): number {
  if (due === undefined) return Infinity;
  if (level === 'hard') return hard ? due + score.hard : Infinity;
  const most = Math.min(hard ? score.hard : Infinity, weight > 0 ? score.late / weight : Infinity);
  return due + Math.max(0, Math.ceil(most));
}

function rowsOf(task: Task, from: number, to: number): Row[] {
  const ways = new Map(task.ways.map((way) => [way.person?.index ?? -1, way]));
  const [first, last] = task.pinned === undefined ? [from, to] : [task.pinned, task.pinned];
  return [...ways].flatMap(([person, { open }]) =>
    piecesOf(open, task.minutes, first, last).map((piece) => ({ ...piece, person })),
  );
}

/** Where it may begin, and how long it takes with the hours that it stands still. */
function begins(task: Task, rows: readonly Row[]): string[] {
  const i = no(task);
  const [only] = rows;
  if (!only) return ['constraint false;', `int: d${i} = 0;`];
  const column = (of: (row: Row) => number) =>
    rows.length === 1 ? `${of(only)}` : `[${rows.map(of).join()}][r${i}]`;
  const spans = rows.map(({ closed }) => task.minutes + closed);
  const [least, most] = [Math.min(...spans), Math.max(...spans)];
  return [
    `constraint s[${i}] >= ${column(({ first }) => first)};`,
    `constraint s[${i}] <= ${column(({ last }) => last)};`,
    least === most
      ? `int: d${i} = ${least};`
      : `var ${least}..${most}: d${i}; constraint d${i} = ${column(({ closed }) => task.minutes + closed)};`,
    `constraint e[${i}] = s[${i}] + d${i};`,
  ];
}

const listed = (tasks: readonly Task[], of: (task: Task) => string) => `[${tasks.map(of).join()}]`;
const starts = (tasks: readonly Task[]) => listed(tasks, (task) => `s[${no(task)}]`);
const spans = (tasks: readonly Task[]) => listed(tasks, (task) => `d${no(task)}`);

const oneAtATime = (tasks: readonly Task[]) =>
  tasks.length > 1 ? [`constraint disjunctive(${starts(tasks)}, ${spans(tasks)});`] : [];
const atMost = (count: number, tasks: readonly Task[]) =>
  tasks.length > count
    ? [`constraint cumulative(${starts(tasks)}, ${spans(tasks)}, ${listed(tasks, () => '1')}, ${count});`]
    : [];

function placesOf({ resources, tasks }: Instance): string[] {
  const places = grouped(
    resources.filter(({ kind }) => kind === 'place'),
    ({ id }) => id,
  );
  return [...places].flatMap(([id, units]) => {
    const there = tasks.filter(({ ways, minutes }) => minutes > 0 && ways[0]?.unit?.id === id);
    return units.length === 1 ? oneAtATime(there) : atMost(units.length, there);
  });
}

const peopleFor = (task: Task) =>
  [...new Set(task.ways.flatMap(({ person }) => (person ? [person] : [])))].toSorted(
    (a, b) => a.index - b.index,
  );

function peopleOf(instance: Instance, rows: Model['rows']): string[] {
  const tasks = instance.tasks.filter(
    ({ minutes, ways }) => minutes > 0 && ways.some(({ person }) => person),
  );
  const able = new Map(tasks.map((task) => [task, peopleFor(task)]));
  const alone = (task: Task) => {
    const [one, other] = able.get(task) ?? [];
    return other ? undefined : one;
  };
  const people = instance.resources.filter(({ kind }) => kind === 'person');
  const alike = grouped(
    tasks,
    (task) =>
      able
        .get(task)
        ?.map(({ index }) => index)
        .join() ?? '',
  );
  return [
    ...tasks.filter((task) => !alone(task)).map((task) => whoDoes(task, able.get(task) ?? [], rows)),
    ...people.flatMap((person) => oneAtATime(tasks.filter((task) => alone(task) === person))),
    ...tasks.flatMap((task, i) =>
      tasks
        .slice(i + 1)
        .filter((other) => !(alone(task) && alone(other)) && shareOne(able.get(task), able.get(other)))
        .map((other) => neverTogether(task, other, alone)),
    ),
    ...[...alike].flatMap(([, own]) => {
      const count = (own[0] && able.get(own[0])?.length) ?? 0;
      return count > 1 ? atMost(count, own) : [];
    }),
  ];
}

/** Who does it, as the row says that is chosen. */
function whoDoes(task: Task, able: readonly Resource[], rows: Model['rows']): string {
  const its = rows[task.index] ?? [];
  const who = its.length === 0 ? '' : ` = [${its.map(({ person }) => person).join()}][r${no(task)}]`;
  return `var {${able.map(({ index }) => index).join()}}: p${no(task)}${who};`;
}

const shareOne = (a: readonly Resource[] = [], b: readonly Resource[] = []) =>
  a.some((each) => b.includes(each));

/** Two that the same person may do are not done at once by one. */
function neverTogether(task: Task, other: Task, alone: (task: Task) => Resource | undefined): string {
  const [a, b] = [no(task), no(other)];
  const by = (each: Task) => alone(each)?.index ?? `p${no(each)}`;
  return `constraint ${by(task)} = ${by(other)} -> (e[${a}] <= s[${b}] \\/ e[${b}] <= s[${a}]);`;
}

function wanted(instance: Instance, { level, score }: Asked, scale: number, latest: number): string[] {
  const dated = instance.jobs.filter(({ due, tasks }) => due !== undefined && tasks.length > 0);
  const late = dated.map(({ due, tasks }, i) => {
    const ends = tasks.map((task) => `e[${no(task)}]-${due ?? 0}`);
    return `var 0..10000000: l${i + 1} = max([0,${ends.join()}]);`;
  });
  const sum = (weight: (job: Instance['jobs'][number]) => number) =>
    dated.map((job, i) => `${weight(job)}*l${i + 1}`).join('+') || '0';
  const hard = sum((job) => (job.hard ? 1 : 0));
  const all = sum((job) => Math.round(job.weight * scale));
  const most = (figure: number) => Math.floor(figure * scale + 1e-6);
  const order = `:: seq_search([int_search(s, smallest, indomain_min), int_search(r, input_order, indomain_min)])`;
  const ends = instance.tasks.map((task) => `e[${no(task)}]`).join();
  switch (level) {
    case 'hard':
      return [...late, `var 0..${score.hard - 1}: z = ${hard};`, `solve ${order} minimize z;`];
    case 'late':
      return [
        ...late,
        `constraint ${hard} <= ${score.hard};`,
        `var 0..${most(score.late) - 1}: z = ${all};`,
        `solve ${order} minimize z;`,
      ];
    case 'end':
      return [
        ...late,
        ...(dated.length === 0 || score.hard === Infinity
          ? []
          : [`constraint ${hard} <= ${score.hard};`, `constraint ${all} <= ${most(score.late)};`]),
        `var 0..${Math.min(score.end - 1, latest)}: z = max([${ends}]);`,
        `solve ${order} minimize z;`,
      ];
  }
}
