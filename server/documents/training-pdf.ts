import { DEFER } from '@dusk-wren/core/procedure';
import { paperPdf, table, type PaperFrom } from './paper';

/** What somebody has learnt, in words. */
export interface Training {
  readonly name: string;
  /** The day it is written on. */
  readonly day: string;
  readonly skills: readonly {
    readonly subject: string;
    readonly teaches: string;
    /** Mean of the last five, percent. */
    readonly mean: string;
    readonly level: string;
    readonly last: string;
    /** The day from which it counts no longer, unless it is practised. */
    readonly until: string;
  }[];
  readonly watched: readonly {
    readonly work: string;
    readonly tag: string;
    readonly by: string;
    readonly day: string;
  }[];
}

const ABOUT =
  'Each subject was practised on exercises that are made and marked by computation: four fifths or more over the last five. It says nothing of strength, care or judgement on a real job, which somebody must have watched, and it takes the place of no licence that the law asks for.';

/** A certificate of training: subjects that hold, with their dates, and real jobs that were watched. */
export const trainingPdf = ({ name, day, skills, watched }: Training, paper: PaperFrom): Promise<Buffer> =>
  paperPdf({
    title: `Certificate of training`,
    about: name,
    paper,
    warning: '',
    content: [
      { text: name, style: 'title', margin: [0, 10, 0, 2] },
      { text: `As it stands on ${day}.`, margin: [0, 0, 0, 6] },
      { text: ABOUT, margin: [0, 0, 0, 4] },
      ...(skills.length === 0
        ? [{ text: 'No subject holds on this day.', style: 'section' }]
        : table(
            'Subjects that hold',
            ['Subject', 'What it teaches', 'Last five', 'Level', 'Last done', 'Holds until'],
            skills.map(({ subject, teaches, mean, level, last, until }) => [
              { text: subject, bold: true },
              teaches,
              { text: mean, style: 'number' },
              { text: level, style: 'number' },
              last,
              until,
            ]),
            [80, '*', 40, 30, 56, 56],
          )),
      ...table(
        'Real jobs, watched',
        ['Work', 'Valve', 'Watched by', 'On'],
        watched.map(({ work, tag, by, day: on }) => [{ text: work, bold: true }, tag, by, on]),
        [80, '*', '*', 60],
      ),
      {
        text: 'Signed for the shop: ....................................   On: ....................',
        margin: [0, 26, 0, 0],
      },
      { text: DEFER, style: 'small', margin: [0, 12, 0, 0] },
    ],
  });
