import { isolationSheet, plateOf } from '@dusk-wren/core/certificate';
import { valveOf } from '@dusk-wren/core/job';
import { DEFER } from '@dusk-wren/core/procedure';
import { minuteIn } from '@dusk-wren/core/quantity';
import type { Content } from 'pdfmake/interfaces';
import { Refusal } from '../refusal';
import { list, paperPdf, plate, table, type JobPaper } from './paper';

const STATES = {
  open: 'not proved',
  proved: 'proved',
  'not at zero': 'NOT GONE: stop',
  held: 'held until the strip',
} as const;

/** What the isolation sheet says, as a part of any paper. */
export function isolationContent({ state, units, shop }: JobPaper): Content[] {
  const sheet = isolationSheet(state, units);
  if (!sheet) return [];
  const who = (by: string | undefined, at: string | undefined) =>
    by && at ? `${by}, ${minuteIn(at, shop.zone)}` : '';
  return [
    ...list('How it stands in its line', [...sheet.stands, ...sheet.stored.map((each) => `Stored: ${each}`)]),
    ...table(
      'Points, in order; taken off in the mirror order',
      ['#', 'Point', 'Lock', 'Tag', 'On', 'Off'],
      sheet.points.map((each, i) => [
        String(i + 1),
        each.title,
        each.lock ?? (each.locked ? '............' : '–'),
        each.tag ?? (each.locked ? '............' : '–'),
        who(each.by, each.at),
        who(each.off?.by, each.off?.at),
      ]),
      ['auto', '*', 'auto', 'auto', 'auto', 'auto'],
    ),
    ...table(
      'Energies, each proved gone before the first joint',
      ['Energy', 'How', 'Reading', 'State', 'By'],
      sheet.energies.map((each) => [
        each.where,
        each.how,
        { text: each.reading ?? '', style: 'number' },
        { text: `${STATES[each.state]}${each.simulated ? ', simulated' : ''}`, bold: true },
        who(each.by, each.at),
      ]),
      ['auto', '*', 'auto', 'auto', 'auto'],
    ),
    ...table(
      'Signatures: never the same person twice',
      ['Sheet', 'Side', 'Signed'],
      sheet.signings.flatMap(({ title, sides }) =>
        sides.map(({ words, by, at }) => [title, words, who(by, at) || 'not signed']),
      ),
      ['*', 'auto', 'auto'],
    ),
  ];
}

/** The isolation sheet by itself, to hang at the valve. */
export async function isolationPdf(paper: JobPaper): Promise<Buffer> {
  const { state, units } = paper;
  const [sheet, valve] = [isolationSheet(state, units), valveOf(state)];
  if (!sheet || !valve)
    throw new Refusal({ code: 'not-found', what: 'isolation sheet: the valve came in bare' });
  return paperPdf({
    title: 'Isolation sheet',
    about: valve.tag,
    paper,
    warning: [
      sheet.stopped ? 'STOP: an energy is not gone. ' : '',
      sheet.energies.some(({ simulated }) => simulated) ? 'Some readings are simulated.' : '',
    ].join(''),
    content: [plate(plateOf(valve, units)), ...isolationContent(paper), { text: DEFER, style: 'small' }],
  });
}
