import { DEFER } from '@dusk-wren/core/procedure';
import type { Content } from 'pdfmake/interfaces';
import { paperPdf, table, type PaperFrom } from './paper';

/** What somebody does on a day, in words. */
export interface DaySheet {
  readonly name: string;
  readonly lines: readonly {
    readonly from: string;
    readonly to: string;
    readonly tag: string;
    readonly place: string;
    readonly what: string;
    readonly where: string;
  }[];
}

/** A page for each of them. */
export const daySheetPdf = (day: string, sheets: readonly DaySheet[], paper: PaperFrom): Promise<Buffer> =>
  paperPdf({
    title: `Day sheet, ${day}`,
    about: '',
    paper,
    warning: '',
    content: sheets.map((sheet, i) => ({
      stack: sheetContent(sheet),
      ...(i === 0 ? {} : { pageBreak: 'before' as const }),
    })),
  });

function sheetContent({ name, lines }: DaySheet): Content[] {
  const work: Content[] =
    lines.length === 0
      ? [{ text: name, style: 'section' }, { text: 'Nothing is planned on this day.' }]
      : table(
          name,
          ['From', 'Until', 'Valve', 'What', 'Where', 'Done'],
          lines.map(({ from, to, tag, place, what, where }) => [
            { text: from, style: 'number' },
            { text: to, style: 'number' },
            { text: [{ text: tag, bold: true }, ` ${place}`] },
            what,
            where,
            '......',
          ]),
          ['auto', 'auto', '*', 90, 70, 40],
        );
  return [...work, { text: DEFER, style: 'small', margin: [0, 8, 0, 0] }];
}
