import { certificate, type Certificate, type TorqueTable } from '@dusk-wren/core/certificate';
import {
  dayIn,
  format,
  formatNumber,
  minuteIn,
  sayDay,
  valueIn,
  type UnitSystem,
} from '@dusk-wren/core/quantity';
import type { Content, TableCell } from 'pdfmake/interfaces';
import { Refusal } from '../refusal';
import { curveChart, FIT, OVER, ringCharts, runoutChart, shareBar, strokeChart } from './charts';
import { list, paperPdf, plate, table, type JobPaper } from './paper';

/** The certificate on paper; before it is signed each page says that it is a draft. */
export async function certificatePdf(made: JobPaper): Promise<Buffer> {
  const { log, state, units } = made;
  const paper = certificate(state, log, units);
  if (!paper) throw new Refusal({ code: 'job.not-open' });
  return paperPdf({
    title: paper.title,
    about: paper.plate[0]?.value ?? '',
    paper: made,
    warning: [
      paper.signed ? '' : 'Draft, not signed. ',
      paper.simulated ? 'Some readings are simulated.' : '',
    ].join(''),
    content: [
      plate([...paper.plate, ...paper.about]),
      {
        text: `Reported: ${paper.reported || 'nothing'}. Received ${onDay(paper.received, made)}.`,
        margin: [0, 8, 0, 0],
      },
      ...glance(paper, units),
      signature(paper, made),
      { text: 'In detail', style: 'title', pageBreak: 'before' },
      ...beforeAndAfter(paper),
      ...list('As found', paper.asFound),
      ...list('Measured', paper.measured),
      ...list('As left', paper.asLeft),
      ...calls(paper),
      ...paper.torques.flatMap((table) => torques(table, units)),
      ...packing(paper, units),
      ...tests(paper, units),
      ...workings(paper),
      ...instruments(paper),
      ...people(paper, made),
      ...list('Corrections to the log', paper.corrections),
    ],
  });
}

/** The day of a moment by the shop's clocks. */
const onDay = (moment: string, { shop }: JobPaper): string => sayDay(dayIn(moment, shop.zone));

/** Widths of the tables of the first page: one below the other. */
const GLANCE = ['*', 92, 92, 92, 36];

/** What somebody wants to know who has half a minute; all of it stands in detail behind. */
function glance({ glance: seen }: Certificate, units: UnitSystem): Content[] {
  const { figures, more, tests, renewed, reworked } = seen;
  const mark = (isRight: boolean): TableCell => ({
    text: isRight ? 'within' : 'OUT',
    bold: true,
    color: isRight ? FIT : OVER,
  });
  const number = (text: string): TableCell => ({ text, style: 'number' });
  return [
    ...table(
      'Set and tested',
      ['What', 'As found', 'As left', 'Wanted', ''],
      figures.map(({ what, found, left, limit, meets }) => [
        what,
        number(found ?? ''),
        number(left),
        number(limit ?? ''),
        mark(meets),
      ]),
      GLANCE,
      more > 0 ? `${more} more in detail.` : undefined,
    ),
    ...table(
      'Tests',
      ['Test', 'At', 'Leak', 'Allowed', ''],
      tests.map(({ title, pressure, leak, allowed, passed }) => [
        title,
        number(format(pressure, units)),
        number(leak),
        number(allowed),
        mark(passed),
      ]),
      GLANCE,
    ),
    ...(renewed.length + reworked.length > 0
      ? [
          { text: 'Parts', style: 'section' } satisfies Content,
          ...(renewed.length > 0 ? [{ text: `Renewed: ${renewed.join(', ')}.` }] : []),
          ...(reworked.length > 0 ? [{ text: `Worked on: ${reworked.join('; ')}.` }] : []),
        ]
      : []),
  ];
}

/** What can be held side by side: figures, blue lines, and the turn of the stem. */
function beforeAndAfter({ pairs, rings, runout, curves, strokes }: Certificate): Content[] {
  return [
    ...(pairs.length > 0
      ? table(
          'Before and after',
          ['What', 'As found', 'As left'],
          pairs.map(({ what, found, left }) => [
            what,
            { text: found, style: 'number' },
            { text: left, style: 'number' },
          ]),
          ['*', 'auto', 'auto'],
        )
      : []),
    ...(rings.length > 0 || runout
      ? [{ text: 'Contact and runout', style: 'section' } satisfies Content]
      : []),
    ...ringCharts(rings),
    ...(runout ? [runoutChart(runout)] : []),
    ...(strokes.length > 0 ? [{ text: 'Stroke test', style: 'section' } satisfies Content] : []),
    ...strokes.map(strokeChart),
    ...(curves.length > 0 ? [{ text: 'Curves', style: 'section' } satisfies Content] : []),
    ...curves.map(curveChart),
  ];
}

function calls(paper: Certificate): Content[] {
  return table(
    'Calls',
    ['Part', 'Call', 'Reason', 'Whose rule'],
    paper.calls.map((call) => [
      call.part,
      { text: call.method === undefined ? call.verdict : `${call.verdict}: ${call.method}`, bold: true },
      [call.reason, call.overruled].filter(Boolean).join('; '),
      { text: call.source, style: 'small' },
    ]),
    ['auto', 'auto', '*', 110],
  );
}

function torques(made: TorqueTable, units: UnitSystem): Content[] {
  const unit = units === 'US' ? 'lbf·ft' : 'N·m';
  return table(
    `${made.title}: torque by bolt and pass in ${unit}, target ${format(made.target, units)}`,
    [
      'Bolt',
      ...made.percents.map((percent, i) => (i === made.percents.length - 1 ? 'Circular' : `${percent} %`)),
    ],
    made.rows.map(({ bolt, passes }) => [
      String(bolt),
      ...passes.map((torque) => ({
        text: torque ? formatNumber(valueIn(torque, unit), 1) : 'not done',
        style: 'number',
      })),
    ]),
    ['auto', ...made.percents.map(() => '*')],
    ['Every figure lies within the band of its pass', made.source, ...made.putRight].join('. '),
  );
}

function packing({ packing: made }: Certificate, units: UnitSystem): Content[] {
  if (!made) return [];
  return [
    { text: 'Packing', style: 'section' },
    {
      text: `${made.rings} rings, section ${format(made.section, units)}, cut ${format(made.length, units)}; joints at ${made.joints}.`,
    },
  ];
}

function tests(paper: Certificate, units: UnitSystem): Content[] {
  return table(
    'Tests',
    ['Test', 'At', 'Held', 'Leak', 'Allowed', 'Result', 'Source'],
    paper.tests.map((test) => [
      test.title,
      { text: format(test.pressure, units), style: 'number' },
      { text: format(test.hold, units), style: 'number' },
      test.share
        ? { stack: [{ text: test.leak, style: 'number' }, shareBar(test.share, test.passed)] }
        : { text: test.leak, style: 'number' },
      { text: test.allowed, style: 'number' },
      { text: `${test.passed ? 'passed' : 'over'}${test.simulated ? ', simulated' : ''}`, bold: true },
      {
        text: `${test.source}${test.file === undefined ? '' : `; read out of “${test.file}”`}`,
        style: 'small',
      },
    ]),
    ['auto', 'auto', 'auto', 'auto', 'auto', 'auto', '*'],
  );
}

function workings(paper: Certificate): Content[] {
  return table(
    'Workings kept with the job',
    ['Working', 'Answer', 'Source'],
    paper.workings.map(({ title, answer, source }) => [title, answer, { text: source, style: 'small' }]),
    ['auto', '*', 110],
  );
}

function instruments(paper: Certificate): Content[] {
  return table(
    'Instruments',
    ['Instrument', 'Kind', 'Calibration due', 'At the time'],
    paper.instruments.map((each) => [
      each.name,
      each.simulated ? `${each.kind}, simulated` : each.kind,
      sayDay(each.calibrationDue),
      each.inCalibration ? 'in calibration' : 'overdue: reading did not count',
    ]),
    ['*', '*', 'auto', '*'],
  );
}

function people(paper: Certificate, made: JobPaper): Content[] {
  return [
    ...table(
      'People',
      ['Name', 'Role', 'Did'],
      paper.people.map(({ name, role, did }) => [name, role, did]),
      ['*', 'auto', '*'],
    ),
    ...table(
      'Holds',
      ['Hold', 'Released by', 'On'],
      paper.holds.map(({ title, by, at }) => [title, by ?? 'not released', at ? onDay(at, made) : '']),
      ['*', 'auto', 'auto'],
    ),
  ];
}

/** Who stands for it, on the first page: next due, holds and signature. */
function signature({ signed, condemned, holds }: Certificate, made: JobPaper): Content {
  const released = holds.flatMap(({ title, by, at }) =>
    by === undefined ? [] : [`${title}: released by ${by}${at === undefined ? '' : `, ${onDay(at, made)}`}.`],
  );
  return {
    unbreakable: true,
    stack: [
      {
        text: !signed
          ? 'Not signed.'
          : condemned
            ? 'The valve is condemned and must not be put back in service.'
            : `Next overhaul due ${sayDay(signed.nextDue)}.`,
        style: 'section',
      },
      ...released.map((text) => ({ text })),
      ...(signed
        ? [
            {
              text: `Signed by ${signed.by.name}, ${signed.by.role}, ${minuteIn(signed.at, made.shop.zone)} (${made.shop.zone}).`,
              bold: true,
            },
          ]
        : []),
    ],
  };
}
