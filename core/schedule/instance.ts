import { refuse, ok, type Result } from '../problem';
import { grouped } from './grouped';
import { bothOpen, openFrom, stretches, workedOff, type OpenTime } from './open-time';
import { followed, type Id, type Week, type WeekJob, type WeekOperation, type WeekPin } from './week';

/** What does one operation at a time: a unit of a place, or a person. */
export interface Resource {
  readonly index: number;
  readonly kind: 'place' | 'person';
  readonly id: Id;
  readonly open: OpenTime;
  /** How much else wants it: of two who are as soon, the one who can do less goes. */
  readonly sought: number;
}

/** One way to do an operation: on this unit, by this person, when both are open. */
export interface Way {
  readonly unit?: Resource;
  readonly person?: Resource;
  readonly open: OpenTime;
  /** Unit and person, those that there are. */
  readonly uses: readonly Resource[];
}

export interface Link {
  readonly task: Task;
  readonly lag: number;
}

/** An operation that is still to be done. */
export interface Task {
  readonly index: number;
  readonly job: Order;
  readonly id: Id;
  readonly minutes: number;
  /** Nothing of it before this minute. */
  readonly release: number;
  readonly before: readonly Link[];
  readonly after: readonly Link[];
  readonly ways: readonly Way[];
  /** The same, a person each: on any unit of its place. */
  readonly byPerson: readonly (readonly Way[])[];
  /** The minute at which it begins, where somebody said so. */
  readonly pinned?: number;
}

/** A job as the engines see it. */
export interface Order {
  readonly index: number;
  readonly id: Id;
  readonly due?: number;
  readonly hard: boolean;
  readonly weight: number;
  readonly tasks: readonly Task[];
}

/** Where a task stood in the plan before this one. */
export interface Stood {
  readonly start: number;
  readonly place?: Id;
  readonly person?: Id;
}

export interface Instance {
  readonly jobs: readonly Order[];
  /** None before one that it follows. */
  readonly tasks: readonly Task[];
  readonly resources: readonly Resource[];
  /** Whether any job has a date: without one, only the end of all counts. */
  readonly dated: boolean;
  /** The plan so far, where a new one is to keep to it. */
  readonly stood: ReadonlyMap<Task, Stood>;
  /** What stood to begin before this minute is what people go by: a day from when somebody is there next. */
  readonly firmUntil: number;
}

/** Why there is no plan at all: a file that contradicts itself, or work that nobody can do. */
export interface NoPlan {
  readonly kind: 'bad file' | 'impossible';
  readonly why: string;
}

type Made<T> = Result<T, NoPlan>;
const badFile = (why: string) => refuse<NoPlan>({ kind: 'bad file', why });
const impossible = (why: string) => refuse<NoPlan>({ kind: 'impossible', why });

type Draft = { -readonly [K in keyof Task]: Task[K] } & { before: Link[]; after: Link[] };

/** A week as tasks, ways to do each, and what each follows; or why there is no plan of it. */
export function instanceOf(week: Week, stood: readonly (Stood & { job: Id; id: Id })[] = []): Made<Instance> {
  const doubled = twice('place', week.places) ?? twice('person', week.people) ?? twice('job', week.jobs);
  if (doubled) return doubled;
  const shop = new Shop(week);
  const jobs: Order[] = [];
  const tasks: Draft[] = [];
  for (const job of week.jobs) {
    const made = jobOf(job, jobs.length, tasks.length, week.pinned, shop);
    if (!made.ok) return made;
    jobs.push(made.value.order);
    tasks.push(...made.value.drafts);
  }
  const lost = week.pinned.find(
    (pin) =>
      !week.jobs.some(({ id, operations }) => id === pin.job && operations.some((o) => o.id === pin.id)),
  );
  if (lost) return badFile(`${lost.job}, ${lost.id} is pinned, and there is no such operation.`);
  const named = new Map(tasks.map((task) => [key(task.job.id, task.id), task]));
  return ok({
    jobs,
    tasks,
    resources: shop.resources,
    firmUntil: firmUntil(shop.resources),
    dated: jobs.some(({ due }) => due !== undefined),
    stood: new Map(
      stood.flatMap(({ job, id, ...where }) => {
        const task = named.get(key(job, id));
        return task ? [[task, where] as const] : [];
      }),
    ),
  });
}

const DAY = 24 * 60;

/** A day from when the first of them is open: over a weekend people go by what stands for Monday. */
export function firmUntil(resources: readonly { readonly open: OpenTime }[]): number {
  const opens = resources.map(({ open }) => (open ? (open[0]?.from ?? Infinity) : 0));
  const first = Math.min(...opens);
  return (Number.isFinite(first) ? Math.max(0, first) : 0) + DAY;
}

const key = (job: Id, id: Id) => JSON.stringify([job, id]);

function twice(what: string, all: readonly { id: Id }[]) {
  const seen = new Set<Id>();
  for (const { id } of all) {
    if (seen.has(id)) return badFile(`There are two of the ${what} ${id}.`);
    seen.add(id);
  }
  return undefined;
}

/** Places as units, people, and the ways that they go together. */
class Shop {
  readonly resources: Resource[] = [];
  readonly units = new Map<Id, Resource[]>();
  readonly people = new Map<Id, Resource>();
  readonly #skilled = new Map<string, Resource[]>();
  readonly #ways = new Map<string, Way>();

  constructor(week: Week) {
    for (const { id, count, open } of week.places) {
      const when = open && stretches(open);
      this.units.set(
        id,
        Array.from({ length: count }, () => this.#add('place', id, when, 0)),
      );
    }
    for (const { id, skills, open } of week.people) {
      const person = this.#add('person', id, open && stretches(open), skills.length);
      this.people.set(id, person);
      for (const skill of new Set(skills))
        this.#skilled.set(skill, [...(this.#skilled.get(skill) ?? []), person]);
    }
  }

  #add(kind: Resource['kind'], id: Id, open: OpenTime, sought: number): Resource {
    const resource = { index: this.resources.length, kind, id, open, sought };
    this.resources.push(resource);
    return resource;
  }

  skilled(skill: string): readonly Resource[] {
    return this.#skilled.get(skill) ?? [];
  }

  way(unit: Resource | undefined, person: Resource | undefined): Way {
    const name = `${unit?.index} ${person?.index}`;
    const known = this.#ways.get(name);
    if (known) return known;
    const made: Way = {
      ...(unit && { unit }),
      ...(person && { person }),
      open: bothOpen(unit?.open, person?.open),
      uses: [unit, person].filter((each) => each !== undefined),
    };
    this.#ways.set(name, made);
    return made;
  }
}

function jobOf(
  job: WeekJob,
  index: number,
  first: number,
  pins: readonly WeekPin[],
  shop: Shop,
): Made<{ order: Order; drafts: Draft[] }> {
  const doubled = twice(`operation of ${job.id}`, job.operations);
  if (doubled) return doubled;
  const drafts: Draft[] = [];
  const { due, hard, weight, id } = job;
  const order: Order = { index, id, hard, weight, tasks: drafts, ...(due === undefined ? {} : { due }) };
  const inOrder = sorted(job);
  if (!inOrder.ok) return inOrder;
  const byId = new Map<Id, Draft>();
  for (const at of inOrder.value) {
    const operation = job.operations[at];
    if (!operation || operation.done !== false) continue;
    const named = `${job.id}, ${operation.id}`;
    const pin = pinOf(pins, job.id, operation.id);
    if (pin === 'at odds') return impossible(`${named} is pinned in two ways at once.`);
    const ways = waysOf(named, operation, pin, shop);
    if (!ways.ok) return ways;
    const draft: Draft = {
      index: first + drafts.length,
      job: order,
      id: operation.id,
      minutes: operation.minutes,
      release: releaseOf(job, at),
      before: [],
      after: [],
      ways: ways.value,
      byPerson: [...grouped(ways.value, ({ person }) => person).values()],
      ...(pin?.start === undefined ? {} : { pinned: pin.start }),
    };
    for (const { task, lag } of waitedFor(job, at, byId)) {
      draft.before.push({ task, lag });
      task.after.push({ task: draft, lag });
    }
    const begin = Math.min(...draft.ways.map(({ open }) => endFrom(open, draft)));
    if (begin === Infinity)
      return impossible(`${named}: there is nowhere ${draft.minutes} min of open time for it.`);
    byId.set(draft.id, draft);
    drafts.push(draft);
  }
  return ok({ order, drafts });
}

const endFrom = (open: OpenTime, { release, minutes }: Draft) => {
  const from = openFrom(open, release);
  return minutes === 0 ? release : from === Infinity ? Infinity : workedOff(open, from, minutes);
};

/** Of a pinned operation all that was said of it; nothing where that is at odds with itself. */
function pinOf(pins: readonly WeekPin[], job: Id, id: Id): WeekPin | 'at odds' | undefined {
  const own = pins.filter((pin) => pin.job === job && pin.id === id);
  const all = own.reduce<WeekPin | undefined>((said, pin) => ({ ...said, ...pin }), undefined);
  const isKept = own.every(
    ({ start, place, person }) =>
      (start ?? all?.start) === all?.start &&
      (place ?? all?.place) === all?.place &&
      (person ?? all?.person) === all?.person,
  );
  return isKept ? all : 'at odds';
}

/** Places of the operations in the list, each after all that it follows. */
function sorted(job: WeekJob): Made<number[]> {
  const at = new Map(job.operations.map(({ id }, index) => [id, index]));
  const inOrder: number[] = [];
  const state = new Map<number, 'open' | 'done'>();
  const visit = (index: number): ReturnType<typeof badFile> | undefined => {
    if (state.get(index) === 'done') return undefined;
    const named = `${job.id}, ${job.operations[index]?.id}`;
    if (state.get(index) === 'open') return badFile(`${named} would have to follow itself.`);
    state.set(index, 'open');
    for (const before of followed(job, index)) {
      const earlier = at.get(before);
      if (earlier === undefined) return badFile(`${named} follows ${before}, which this job has not.`);
      const wrong = visit(earlier);
      if (wrong) return wrong;
    }
    state.set(index, 'done');
    inOrder.push(index);
    return undefined;
  };
  for (let index = 0; index < job.operations.length; index++) {
    const wrong = visit(index);
    if (wrong) return wrong;
  }
  return ok(inOrder);
}

/** When an operation may begin for all that is done already: a wait after what is done runs from its end, or from now. */
function releaseOf(job: WeekJob, index: number): number {
  const ends = followed(job, index).flatMap((id) => {
    const { done = false, wait = 0 } = job.operations.find((each) => each.id === id) ?? {};
    return done === false ? [] : [(done === true ? 0 : done) + wait];
  });
  return Math.max(0, job.release, ...ends);
}

/** What it follows and is not done: through what is done, whatever that followed does not count any more. */
function waitedFor(job: WeekJob, index: number, byId: ReadonlyMap<Id, Draft>) {
  return followed(job, index).flatMap((id) => {
    const task = byId.get(id);
    return task ? [{ task, lag: job.operations.find((each) => each.id === id)?.wait ?? 0 }] : [];
  });
}

function waysOf(
  named: string,
  { place, person, skill }: WeekOperation,
  pin: WeekPin | undefined,
  shop: Shop,
): Made<readonly Way[]> {
  const where = pin?.place ?? place;
  const units = where === undefined ? [undefined] : shop.units.get(where);
  if (!units) return badFile(`${named} wants the place ${where}, and there is none.`);
  if (place !== undefined && where !== place)
    return impossible(`${named} is pinned to ${where}, and is done at ${place}.`);
  const known = person === undefined ? undefined : shop.people.get(person);
  if (person !== undefined && !known)
    return badFile(`${named} wants ${person}, and there is nobody of that name.`);
  if (pin?.person !== undefined && !shop.people.has(pin.person))
    return badFile(`${named} is pinned to ${pin.person}, and there is nobody of that name.`);
  const able = known ? [known] : skill === undefined ? undefined : shop.skilled(skill);
  const skilled = skill === undefined ? able : able?.filter((each) => shop.skilled(skill).includes(each));
  if (skilled?.length === 0)
    return impossible(
      known
        ? `${named}: ${known.id} is not able to do ${skill}.`
        : `${named}: nobody is able to do ${skill}.`,
    );
  const pinnedTo = pin?.person === undefined ? undefined : shop.people.get(pin.person);
  if (pinnedTo && skilled && !skilled.includes(pinnedTo))
    return impossible(`${named} is pinned to ${pinnedTo.id}, who is not the one to do it.`);
  const people: readonly (Resource | undefined)[] = pinnedTo ? [pinnedTo] : (skilled ?? [undefined]);
  return ok(units.flatMap((unit) => people.map((each) => shop.way(unit, each))));
}
