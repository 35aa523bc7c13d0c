import { z } from 'zod';
import { lineSchema, SHUT_BY_WORDS } from '../../isolation';
import { defineEvent } from '../define-event';
import { stepRef } from '../stage';

export const lineDrawn = defineEvent({
  kind: 'line-drawn',
  body: z.strictObject({ step: stepRef, line: lineSchema }),
  describe: ({ line }) =>
    `How it stands in its line: upstream ${SHUT_BY_WORDS[line.upstream.shutBy]}, downstream ${SHUT_BY_WORDS[line.downstream.shutBy]}`,
});
