import { latestRunout, siteOf } from '../calls';
import { describeEntry, type EntryOf, type JobState, type Stage } from '../job';
import type { Plan } from '../plan';
import { format, type UnitSystem } from '../quantity';
import { seatContact } from '../workings';

/** What was found on the valve as it came, in lines. */
export function asFound(state: JobState, current: Plan, system: UnitSystem): string[] {
  const { records } = state;
  const runout = latestRunout(state);
  const sound = records['finding-made']
    .filter(({ body }) => body.finding.kind === 'sound')
    .map(({ body }) => body.step.title.toLowerCase());
  const findings = records['finding-made']
    .filter(({ body }) => body.finding.kind !== 'sound')
    .map(
      (entry) =>
        describeEntry(entry, system) +
        ('depth' in entry.body.finding ? `, ${format(entry.body.finding.depth, system)} deep` : ''),
    );
  const measured = records.measured.map(({ body }) => `${body.what}: ${format(body.value, system)}`);
  return [
    ...(runout
      ? [
          `stem runout: TIR ${format(runout.runout.tir, system)}, bow ${format(runout.runout.bow, system)}, out of round ${format(runout.runout.outOfRound, system)}`,
        ]
      : []),
    ...findings,
    ...(sound.length > 0 ? [`nothing found: ${sound.join('; ')}`] : []),
    ...contactLines(state, current, system, 'inspect'),
    ...measured,
  ];
}

/** How it leaves, in lines. */
export function asLeft(state: JobState, current: Plan, system: UnitSystem): string[] {
  const grits = state.records['lapping-logged'];
  const renewed = [...current.calls.values()]
    .filter(({ verdict }) => verdict === 'renew')
    .map(({ part }) => part);
  return [
    ...(renewed.length > 0 ? [`renewed: ${renewed.join(', ')}`] : []),
    ...(grits.length > 0
      ? [
          `lapped: ${grits.map(({ body }) => `grit ${body.grit} for ${format(body.minutes, system)}`).join('; ')}`,
        ]
      : []),
    ...contactLines(state, current, system, 'repair'),
  ];
}

/** The last blue check of each contact in a stage: as found while looking, as left after the work. */
function contactLines(state: JobState, current: Plan, system: UnitSystem, stage: Stage): string[] {
  const last = new Map<string, EntryOf<'bluing-checked'>>();
  for (const entry of state.records['bluing-checked']) {
    const step = current.steps.find(({ id }) => id === entry.body.step.id);
    if (entry.body.step.stage === stage) last.set(step?.parts.join() ?? entry.body.step.id, entry);
  }
  return [...last.values()].flatMap(({ body }) => {
    const worked = seatContact.work({
      diameter: body.diameter,
      arcs: body.arcs,
      widest: siteOf(state).widestBlueLine,
    });
    if (!worked.ok) return [];
    const { continuity, widthMean, verdict } = worked.value.result;
    return [
      `${body.step.title}: ${format(continuity, system)} of the circle, ${format(widthMean, system)} wide, ${verdict}`,
    ];
  });
}
