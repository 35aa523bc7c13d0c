import { importOf } from '@dusk-wren/core/certificate';
import type { Entry, JobState } from '@dusk-wren/core/job';
import type { UnitSystem } from '@dusk-wren/core/quantity';
import pdfmake from 'pdfmake';
import type { Content, TableCell } from 'pdfmake/interfaces';
import QRCode from 'qrcode';
import { FONTS } from './fonts';

pdfmake.setFonts(FONTS);
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path: string) =>
  Object.values(FONTS).some((font) => Object.values(font).includes(path)),
);

const INK = '#25212d';
const MUTED = '#665f70';
const LINE = '#b9b5c2';
const BELOW_TITLE: [number, number, number, number] = [0, 6, 0, 0];

/** A shop as its papers say it. */
export interface PrintedBy {
  readonly name: string;
  /** Its time zone: moments are those of its clocks. */
  readonly zone: string;
}

/** A job, to be put on paper. */
export interface JobPaper {
  readonly log: readonly Entry[];
  readonly state: JobState;
  readonly units: UnitSystem;
  /** Where this job, or what its paper is held against, is found: for the QR code. */
  readonly address: string;
  /** Of a signed paper. */
  readonly code?: string;
  /** Whose shop prints it, and by which clocks. */
  readonly shop: PrintedBy;
}

/** What any paper of the shop says of where it comes from. */
export type PaperFrom = Pick<JobPaper, 'address' | 'shop' | 'code'> & {
  /** Of a job's paper. */
  readonly state?: JobState;
};

interface Sheet {
  readonly title: string;
  /** Which valve it is about, for the file's own title. */
  readonly about: string;
  readonly paper: PaperFrom;
  /** What has to be seen on every page: a draft, simulated readings, a stop. */
  readonly warning: string;
  readonly content: readonly Content[];
}

/** A sheet of the shop's paper as PDF: head, foot, title with its code, and what is on it. */
export async function paperPdf({ title, about, paper, warning, content }: Sheet): Promise<Buffer> {
  const { address, shop, state } = paper;
  const imported = state && importOf(state);
  const qr = await QRCode.toString(address, { type: 'svg', margin: 0 });
  return pdfmake
    .createPdf({
      pageSize: 'A4',
      pageMargins: [40, 64, 40, 52],
      info: { title: `${title} ${about}`, creator: 'Dusk Wren' },
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
          { text: shop.name, font: 'Label', bold: true },
          {
            text: [imported ? 'Imported, not checked here. ' : '', warning].join(''),
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
      pageBreakBefore: startsTooLow,
      content: [
        {
          columns: [
            {
              stack: [
                { text: title, style: 'title' },
                ...(paper.code === undefined
                  ? []
                  : [
                      {
                        text: `Does this paper still say what its record says? Code ${paper.code}`,
                        style: 'small',
                        margin: BELOW_TITLE,
                      },
                    ]),
              ],
            },
            { svg: qr, width: 56, alignment: 'right' },
          ],
        },
        ...(imported ? [{ text: imported, bold: true, color: '#b13a20', margin: BELOW_TITLE }] : []),
        ...content,
      ],
    })
    .getBuffer();
}

/** Points from the top of the page under which no heading may stand alone. */
const LOWEST_HEADING = 720;
/** A heading low on a page goes on to the next, with what stands under it. */
function startsTooLow(node: {
  readonly style?: unknown;
  readonly startPosition?: { readonly top: number };
}): boolean {
  return node.style === 'section' && (node.startPosition?.top ?? 0) > LOWEST_HEADING;
}

const lines = {
  hLineColor: () => LINE,
  vLineColor: () => LINE,
  hLineWidth: () => 0.5,
  vLineWidth: () => 0,
  paddingTop: () => 2.5,
  paddingBottom: () => 2.5,
};

/** A valve's plate, label and value in rows of two. */
export function plate(rows: readonly Row[]): Content {
  return {
    margin: [0, 8, 0, 0],
    table: {
      widths: ['auto', '*', 'auto', '*'],
      body: inTwos(rows).map(([left, right]) => [...cells(left), ...cells(right)]),
    },
    layout: { ...lines, fillColor: () => '#eceaf0' },
  };
}

type Row = { readonly label: string; readonly value: string };
const cells = (row: Row | undefined): TableCell[] => [
  { text: row?.label ?? '', style: 'label' },
  { text: row?.value ?? '', font: 'Label', bold: true },
];
function inTwos(rows: readonly Row[]): (readonly [Row | undefined, Row | undefined])[] {
  const half = Math.ceil(rows.length / 2);
  return rows.slice(0, half).map((row, i) => [row, rows[half + i]] as const);
}

/** A heading with points under it; nothing when there are none. */
export function list(title: string, items: readonly string[]): Content[] {
  return items.length === 0 ? [] : [{ text: title, style: 'section' }, { ul: [...items] }];
}

/** A heading with a table under it; nothing when it has no rows. */
export function table(
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
        keepWithHeaderRows: 1,
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
