import { plateOf } from '@dusk-wren/core/certificate';
import { openingOf, STAGES } from '@dusk-wren/core/job';
import { plan, type PlannedStep } from '@dusk-wren/core/plan';
import { must } from '@dusk-wren/core/problem';
import { DEFER } from '@dusk-wren/core/procedure';
import { capital, say, type UnitSystem } from '@dusk-wren/core/quantity';
import { fetchList, type Fetch } from '@dusk-wren/core/stock';
import { protectionFor } from '@dusk-wren/core/valve';
import type { Content } from 'pdfmake/interfaces';
import { Refusal } from '../refusal';
import { isolationContent } from './isolation-pdf';
import { list, paperPdf, plate, table, type JobPaper } from './paper';

const counted = (units: UnitSystem, { what, count, inCalibration }: Fetch): string =>
  [
    count > 1 ? `${say(what, units)} × ${count}` : say(what, units),
    ...(inCalibration ? ['in calibration'] : []),
  ].join(', ');

/** The job to carry along: what the medium does and what guards against it, the isolation, every step, what to fetch. */
export async function jobSheetPdf(paper: JobPaper): Promise<Buffer> {
  const { state, units } = paper;
  const [planned, opened] = [must(plan(state)), openingOf(state)];
  if (!planned || !opened) throw new Refusal({ code: 'job.not-open' });
  const { valve, steps } = planned;
  const protection = protectionFor(valve.medium);
  const fetch = fetchList(planned);
  const fetched = (items: readonly Fetch[]) => items.map((item) => counted(units, item));
  return paperPdf({
    title: 'Job sheet',
    about: valve.tag,
    paper,
    warning: '',
    content: [
      plate(plateOf(valve, units)),
      { text: `Reported: ${opened.body.reported || 'nothing'}.`, margin: [0, 8, 0, 0] },
      ...list('What it can do to you', protection.hazards),
      ...list('Against it', protection.guards),
      ...list('Gas detector and limits', protection.limits),
      ...list('Before it goes to a shop', protection.decontamination),
      { text: DEFER, style: 'small' },
      ...isolationContent(paper),
      ...list('Fetch: new parts', fetched(fetch.parts)),
      ...list('Fetch: tools and gauges', fetched([...fetch.wrenches, ...fetch.gauges, ...fetch.tools])),
      ...list('Fetch: consumables', fetched(fetch.consumables)),
      ...STAGES.flatMap((stage) => stageContent(stage, steps, units)),
    ],
  });
}

function stageContent(stage: string, steps: readonly PlannedStep[], units: UnitSystem): Content[] {
  const own = steps.filter((step) => step.stage === stage && !step.kept);
  return table(
    capital(stage),
    ['', 'Step', 'Why and with care', 'Done'],
    own.map((step) => [
      { text: String(step.minutes), style: 'small' },
      { text: step.title, bold: true },
      {
        text: [step.optional && `Wanted ${step.optional}.`, say(step.why, units), step.caution]
          .filter(Boolean)
          .join(' '),
        style: 'small',
      },
      step.finished ? step.finished.by.name : '......',
    ]),
    ['auto', 150, '*', 60],
  );
}
