import { certificate, type Certificate, type TorqueTable } from '@dusk-wren/core/certificate';
import { fold, type Entry } from '@dusk-wren/core/job';
import { must } from '@dusk-wren/core/problem';
import { format, type UnitSystem } from '@dusk-wren/core/quantity';
import pdfmake from 'pdfmake';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import QRCode from 'qrcode';
import { Refusal } from '../refusal';
import { FONTS } from './fonts';

pdfmake.setFonts(FONTS);
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path: string) =>
  Object.values(FONTS).some((font) => Object.values(font).includes(path)),
);

interface Paper {
  log: readonly Entry[];
  units: UnitSystem;
  /** Where this job lives, for the QR code. */
  address: string;
}

/** The certificate on paper; before it is signed each page says that it is a draft. */
export async function certificatePdf({ log, units, address }: Paper): Promise<Buffer> {
  const paper = certificate(must(fold(log)), log, units);
  if (!paper) throw new Refusal({ code: 'job.not-open' });
  return pdfmake
    .createPdf(layOut(paper, units, await QRCode.toString(address, { type: 'svg', margin: 0 }), address))
    .getBuffer();
}

const INK = '#25212d';
const MUTED = '#665f70';
const LINE = '#b9b5c2';

function layOut(paper: Certificate, units: UnitSystem, qr: string, address: string): TDocumentDefinitions {
  const signed = paper.signed;
  return {
    pageSize: 'A4',
    pageMargins: [40, 64, 40, 52],
    info: { title: `${paper.title} ${paper.plate[0]?.value ?? ''}`, creator: 'Dusk Wren' },
    defaultStyle: { font: 'Reading', fontSize: 9, color: INK, lineHeight: 1.15 },
    styles: {
      title: { font: 'Label', fontSize: 19, bold: true },
      section: { font: 'Label', fontSize: 12, bold: true, margin: [0, 12, 0, 4] },
      label: { font: 'Label', fontSize: 8, color: MUTED },
      number: { font: 'Label', fontSize: 9 },
      small: { fontSize: 7.5, color: MUTED },
    },
    header: () => ({
      margin: [40, 24, 40, 0],
      columns: [
        { text: 'Pinder Street valve shop', font: 'Label', bold: true },
        {
          text: [
            signed ? '' : 'Draft, not signed. ',
            paper.simulated ? 'Some readings are simulated.' : '',
          ].join(''),
          alignment: 'right',
          color: '#b13a20',
          bold: true,
        },
      ],
    }),
    footer: (page: number, pages: number) => ({
      margin: [40, 14, 40, 0],
      columns: [
        { text: address, style: 'small' },
        { text: `page ${page} of ${pages}`, style: 'small', alignment: 'right' },
      ],
    }),
    content: [
      {
        columns: [
          { text: paper.title, style: 'title' },
          { svg: qr, width: 56, alignment: 'right' },
        ],
      },
      plate(paper),
      {
        text: `Reported: ${paper.reported || 'nothing'}. Received ${day(paper.received)}.`,
        margin: [0, 8, 0, 0],
      },
      ...list('As found', paper.asFound),
      ...list('As left', paper.asLeft),
      ...calls(paper),
      ...paper.torques.flatMap((table) => torques(table, units)),
      ...packing(paper, units),
      ...tests(paper, units),
      ...workings(paper),
      ...instruments(paper),
      ...people(paper),
      ...list('Corrections to the log', paper.corrections),
      signature(paper),
    ],
  };
}

const day = (moment: string) => moment.slice(0, 10);

const lines = {
  hLineColor: () => LINE,
  vLineColor: () => LINE,
  hLineWidth: () => 0.5,
  vLineWidth: () => 0,
  paddingTop: () => 2.5,
  paddingBottom: () => 2.5,
};

function plate(paper: Certificate): Content {
  return {
    margin: [0, 8, 0, 0],
    table: {
      widths: ['auto', '*'],
      body: paper.plate.map(({ label, value }) => [
        { text: label, style: 'label' },
        { text: value, font: 'Label', bold: true },
      ]),
    },
    layout: { ...lines, fillColor: () => '#eceaf0' },
  };
}

function list(title: string, items: readonly string[]): Content[] {
  return items.length === 0 ? [] : [{ text: title, style: 'section' }, { ul: [...items] }];
}

function table(
  title: string,
  head: string[],
  rows: TableCell[][],
  widths: (string | number)[],
  note?: string,
): Content[] {
  if (rows.length === 0) return [];
  return [
    { text: title, style: 'section' },
    {
      table: {
        headerRows: 1,
        dontBreakRows: true,
        widths,
        body: [head.map((text) => ({ text, style: 'label' })), ...rows],
      },
      layout: lines,
    },
    ...(note === undefined
      ? []
      : [{ text: note, style: 'small', margin: [0, 3, 0, 0] as [number, number, number, number] }]),
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
  return table(
    `${made.title}: torque by bolt and pass, target ${format(made.target, units)}`,
    [
      'Bolt',
      ...made.percents.map((percent, i) => (i === made.percents.length - 1 ? 'Circular' : `${percent} %`)),
    ],
    made.rows.map(({ bolt, passes }) => [
      String(bolt),
      ...passes.map((torque) => ({ text: torque ? format(torque, units) : 'not done', style: 'number' })),
    ]),
    ['auto', ...made.percents.map(() => '*')],
    [made.source, ...made.putRight].join('. '),
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
      { text: test.leak, style: 'number' },
      { text: test.allowed, style: 'number' },
      { text: `${test.passed ? 'passed' : 'over'}${test.simulated ? ', simulated' : ''}`, bold: true },
      { text: test.source, style: 'small' },
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
      each.calibrationDue,
      each.inCalibration ? 'in calibration' : 'overdue: reading did not count',
    ]),
    ['*', '*', 'auto', '*'],
  );
}

function people(paper: Certificate): Content[] {
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
      paper.holds.map(({ title, by, at }) => [title, by ?? 'not released', at ? day(at) : '']),
      ['*', 'auto', 'auto'],
    ),
  ];
}

function signature({ signed, condemned }: Certificate): Content {
  if (!signed) return { text: 'Not signed.', style: 'section' };
  return {
    unbreakable: true,
    stack: [
      {
        text: condemned
          ? 'The valve is condemned and must not be put back in service.'
          : `Next overhaul due ${signed.nextDue}.`,
        style: 'section',
      },
      {
        text: `Signed by ${signed.by.name}, ${signed.by.role}, ${signed.at.replace('T', ' ').slice(0, 16)} UTC.`,
      },
    ],
  };
}
