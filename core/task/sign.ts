import type { TaskKind } from './task-kind';

/** The certificate, or the report of a condemned valve, signed. */
export interface SignTask {
  readonly kind: 'sign';
  readonly months: number;
}

export const signTask: TaskKind<SignTask> = {
  onPurpose: true,
  signed: true,
  finishedBy: (_, facts) => facts.on('certificate-signed').at(-1),
  plainly: ({ months }, { step, nextDue }) => [
    { kind: 'sign-certificate', body: { step, nextDue: nextDue(months) }, by: 'lead' },
  ],
};
