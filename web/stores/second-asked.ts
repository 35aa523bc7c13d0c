import { z } from 'zod';
import { ApiProblem } from '../api/client';

const toSetUp = z.object({ secret: z.string(), address: z.string() });

/** What the server wants beside a PIN that was right: a code, and with a secret an authenticator to be set up first. */
export interface SecondAsked {
  readonly said: string;
  readonly toSetUp?: z.output<typeof toSetUp>;
}

export function secondAsked(error: unknown): SecondAsked | undefined {
  if (!(error instanceof ApiProblem)) return undefined;
  const { code, details, message: said } = error;
  if (code === 'second.needed') return { said };
  const given = code === 'second.to-set-up' ? toSetUp.safeParse(details).data : undefined;
  return given && { said, toSetUp: given };
}
