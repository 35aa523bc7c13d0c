import { z } from 'zod';
import { findingSchema, partRoleSchema, type Finding } from '../../inspection';
import { phrase, type Phrase } from '../../quantity';
import { defineEvent } from '../define-event';
import { stepRef } from '../stage';

/** What was seen, in what form, how deep. */
function wordsOf(finding: Finding): Phrase {
  if (finding.kind === 'sound') return 'nothing found';
  if (finding.kind === 'unsure') return finding.what;
  const form = 'form' in finding ? `, ${finding.form}` : 'degree' in finding ? `, ${finding.degree}` : '';
  return 'depth' in finding
    ? phrase`${finding.kind}${form}, ${finding.depth} deep`
    : `${finding.kind}${form}`;
}

export const findingMade = defineEvent({
  kind: 'finding-made',
  body: z.strictObject({ step: stepRef, part: partRoleSchema, finding: findingSchema }),
  describe: ({ part, finding }) => phrase`${part}: ${wordsOf(finding)}`,
});
