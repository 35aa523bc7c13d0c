import { fold, jobId, readLog } from '@dusk-wren/core/job';
import { must } from '@dusk-wren/core/problem';
import type { PaperView } from '@dusk-wren/contract';
import { Op } from 'sequelize';
import { codesOf, type PaperCode } from '../documents/paper-code';
import { Refusal } from '../refusal';
import { loadRawLog } from './job-log';
import { JobRow } from './models';
import { likePrefix } from './paging';

/** Jobs whose number begins alike: those of one minute at most, for they are numbered in order of time. */
const MOST_ALIKE = 50;

/** What a printed paper's code opens: the record that it was made from, and whether that still says the same. */
export async function findPaper(asked: PaperCode): Promise<PaperView> {
  const rows = await JobRow.findAll({
    where: { id: { [Op.like]: likePrefix(asked.job) } },
    limit: MOST_ALIKE,
  });
  for (const row of rows) {
    const raw = await loadRawLog(row.id, 0);
    const codes = codesOf(row.id, raw);
    const found = codes.find(({ code }) => code.hash === asked.hash);
    if (!found) continue;
    const log = must(readLog(raw));
    const state = must(fold(log));
    const signature = log.find(({ seq }) => seq === found.seq);
    if (!signature) continue;
    const struckBy = state.struck[found.seq];
    const since = log.filter(({ seq }) => seq > found.seq);
    return {
      job: jobId.parse(row.id),
      tag: row.tag,
      signed: { by: signature.by.name, role: signature.by.role, at: signature.at },
      standing: struckBy !== undefined ? 'struck' : found.seq === codes.at(-1)?.seq ? 'same' : 'signed again',
      since: since.length,
      corrected: since.filter(({ kind }) => kind === 'entry-struck').length,
    };
  }
  throw new Refusal({
    code: 'not-found',
    what: 'paper: its code is of no record here, or its record says something else now',
  });
}
