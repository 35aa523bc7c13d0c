import { followed, type Id, type Placing, type Week, type WeekJob, type WeekOperation } from './week';

/**
 * What is wrong with a plan, in words; nothing where every rule is kept. It shares no code with the engines: it reads the
 * week as it was given and counts.
 */
export function faultsOf(week: Week, plan: readonly Placing[]): string[] {
  const faults: string[] = [];
  const put = new Map<string, Placing>();
  for (const each of plan) {
    const name = nameOf(each.job, each.id);
    if (put.has(name)) faults.push(`${name} is there twice.`);
    put.set(name, each);
  }
  for (const job of week.jobs)
    for (const [index, operation] of job.operations.entries()) {
      const name = nameOf(job.id, operation.id);
      const placing = put.get(name);
      put.delete(name);
      if (operation.done !== false) {
        if (placing) faults.push(`${name} is done and planned again.`);
      } else if (placing)
        faults.push(...ownFaults(week, job, operation, placing), ...orderFaults(job, index, placing, plan));
      else faults.push(`${name} is not planned.`);
    }
  for (const name of put.keys()) faults.push(`${name} is planned and not asked for.`);
  faults.push(...pinFaults(week, plan), ...crowds(week, plan));
  return faults;
}

const nameOf = (job: Id, id: Id) => `${job}, ${id}`;

function ownFaults(week: Week, job: WeekJob, operation: WeekOperation, placing: Placing): string[] {
  const name = nameOf(job.id, operation.id);
  const faults: string[] = [];
  const { start, end } = placing;
  const pin = week.pinned.find((each) => each.job === job.id && each.id === operation.id);
  if (!Number.isInteger(start) || !Number.isInteger(end)) faults.push(`${name} is not at whole minutes.`);
  if (start < Math.max(0, job.release)) faults.push(`${name} begins before its job may.`);
  if (placing.place !== (operation.place ?? pin?.place)) faults.push(`${name} is at another place.`);
  const person = week.people.find(({ id }) => id === placing.person);
  if (placing.person !== undefined && !person) faults.push(`${name} is done by nobody that there is.`);
  if (operation.skill !== undefined && !person?.skills.includes(operation.skill))
    faults.push(`${name} is done by somebody who is not able to.`);
  if (operation.person !== undefined && placing.person !== operation.person)
    faults.push(`${name} is done by somebody else.`);
  const wantsNobody =
    operation.skill === undefined && operation.person === undefined && pin?.person === undefined;
  if (wantsNobody && placing.person !== undefined) faults.push(`${name} wants nobody.`);
  const place = week.places.find(({ id }) => id === placing.place);
  const open = [place?.open, person?.open].filter((each) => each !== undefined);
  let worked = 0;
  for (const [from, to] of common(open, start, end)) worked += to - from;
  if (worked !== operation.minutes)
    faults.push(`${name} is worked on ${worked} min and not ${operation.minutes}.`);
  const edges = [start, end - 1];
  if (operation.minutes > 0 && !edges.every((minute) => open.every((one) => isIn(one, minute))))
    faults.push(`${name} begins or ends in closed hours.`);
  return faults;
}

const isIn = (open: readonly (readonly [number, number])[], minute: number) =>
  open.some(([from, to]) => from <= minute && minute < to);

/** Pieces of [start, end) that all have open, cut at every edge. */
function common(open: readonly (readonly (readonly [number, number])[])[], start: number, end: number) {
  const cuts = new Set([start, end]);
  for (const [from, to] of open.flat()) {
    if (from > start && from < end) cuts.add(from);
    if (to > start && to < end) cuts.add(to);
  }
  const edges = [...cuts].toSorted((a, b) => a - b);
  return edges.flatMap((from, i): (readonly [number, number])[] => {
    const to = edges[i + 1];
    return to !== undefined && open.every((one) => isIn(one, from)) ? [[from, to]] : [];
  });
}

function orderFaults(job: WeekJob, index: number, placing: Placing, plan: readonly Placing[]): string[] {
  return followed(job, index).flatMap((id) => {
    const before = job.operations.find((each) => each.id === id);
    if (!before) return [];
    const stands = plan.find((each) => each.job === job.id && each.id === id);
    const ended = stands?.end ?? (before.done === true ? 0 : before.done === false ? Infinity : before.done);
    return placing.start < ended + before.wait
      ? [`${nameOf(job.id, placing.id)} begins before ${id} lets it.`]
      : [];
  });
}

function pinFaults({ pinned }: Week, plan: readonly Placing[]): string[] {
  return pinned.flatMap((pin) => {
    const stands = plan.find((each) => each.job === pin.job && each.id === pin.id);
    if (!stands) return [];
    const kept =
      (pin.start === undefined || pin.start === stands.start) &&
      (pin.place === undefined || pin.place === stands.place) &&
      (pin.person === undefined || pin.person === stands.person);
    return kept ? [] : [`${nameOf(pin.job, pin.id)} is not where it was pinned.`];
  });
}

/** Places with more on them than there are, people in two places at once. */
function crowds({ places, people }: Week, plan: readonly Placing[]): string[] {
  const held = plan.filter(({ start, end }) => end > start);
  const most = (mine: readonly Placing[]) =>
    Math.max(
      0,
      ...mine.map(({ start: at }) => mine.filter(({ start, end }) => start <= at && at < end).length),
    );
  return [
    ...places.flatMap(({ id, count }) => {
      const there = most(held.filter(({ place }) => place === id));
      return there > count ? [`${there} at once at ${id}, which has ${count}.`] : [];
    }),
    ...people.flatMap(({ id }) =>
      most(held.filter(({ person }) => person === id)) > 1 ? [`${id} is in two places at once.`] : [],
    ),
  ];
}
