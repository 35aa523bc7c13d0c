import { readOtherwise, replay } from '@dusk-wren/core/command';
import { fold, readLog, type Entry } from '@dusk-wren/core/job';
import { must } from '@dusk-wren/core/problem';
import { Refusal } from '../refusal';
import { certificatePdf } from './certificate-pdf';
import { daySheetPdf } from './day-sheet-pdf';
import { isolationPdf } from './isolation-pdf';
import { jobSheetPdf } from './job-sheet-pdf';
import type { JobPaper } from './paper';
import { trainingPdf } from './training-pdf';
import type { Answer, Errand, Paper } from './printer';

const PRINTS: Readonly<Record<Paper, (paper: JobPaper) => Promise<Buffer>>> = {
  certificate: certificatePdf,
  isolation: isolationPdf,
  'job-sheet': jobSheetPdf,
};

/** Runs in a thread of its own: see `printer.ts`. */
export default async function work(errand: Errand): Promise<Answer> {
  if (errand.kind === 'day-sheet') {
    const { day, sheets, address, shop } = errand;
    return { kind: 'printed', pdf: await daySheetPdf(day, sheets, { address, shop }) };
  }
  if (errand.kind === 'training') {
    const { training, address, shop } = errand;
    return { kind: 'printed', pdf: await trainingPdf(training, { address, shop }) };
  }
  const log: Entry[] = must(readLog(errand.log));
  if (errand.kind === 'replay') return { kind: 'replayed', refused: replay(log) };
  if (errand.kind === 'weigh') {
    const weighed = readOtherwise(log, errand.doubt);
    return weighed.ok
      ? { kind: 'weighed', otherwise: weighed.value }
      : { kind: 'refused', problem: weighed.problem };
  }
  const { paper, units, address, shop, code } = errand;
  try {
    const pdf = await PRINTS[paper]({
      ...{ log, state: must(fold(log)), units, address, shop },
      ...(code === undefined ? {} : { code }),
    });
    return { kind: 'printed', pdf };
  } catch (error) {
    if (error instanceof Refusal) return { kind: 'refused', problem: error.problem };
    throw error;
  }
}
