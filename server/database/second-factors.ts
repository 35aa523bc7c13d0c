import { Op } from 'sequelize';
import { PersonRow } from './models';

/** What a person's authenticator shares with the shop; the step of its last code, none before its first. */
export async function secondOf(personId: string): Promise<{ secret: string | null; step: number | null }> {
  const row = await PersonRow.findByPk(personId, { attributes: ['secondSecret', 'secondStep'] });
  const { secondSecret: secret, secondStep: step } = row ?? { secondSecret: null, secondStep: null };
  return { secret, step: step === null ? null : Number(step) };
}

/** Keeps a secret where there is none; answers with the one that is there then. */
export async function keepSecret(personId: string, secret: string): Promise<string> {
  await PersonRow.update({ secondSecret: secret }, { where: { id: personId, secondSecret: null } });
  return (await secondOf(personId)).secret ?? secret;
}

/** Uses up a code, and all before it: whether nobody had. */
export async function useStep(personId: string, step: number): Promise<boolean> {
  const unused = { [Op.or]: [{ secondStep: null }, { secondStep: { [Op.lt]: step } }] };
  const [changed] = await PersonRow.update({ secondStep: step }, { where: { id: personId, ...unused } });
  return changed === 1;
}

/** A phone that is lost, or somebody who begins anew: another authenticator is set up at the next sign-in. */
export const FORGOTTEN = { secondSecret: null, secondStep: null };
