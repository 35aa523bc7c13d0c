import { Transaction, type Sequelize } from 'sequelize';
import { Refusal } from '../refusal';

/** One change at a time: names, and leads, are counted before they are changed. */
export const oneAtATime = <T>(
  sequelize: Sequelize,
  work: (transaction: Transaction) => Promise<T>,
): Promise<T> => sequelize.transaction({ isolationLevel: Transaction.ISOLATION_LEVELS.SERIALIZABLE }, work);

/** Two of one name cannot be told apart: `has` is who has it now, `but` whoever may keep it. */
export function refuseTaken(name: string, has: { readonly id: string } | null, but?: string): void {
  if (has && has.id !== but) throw new Refusal({ code: 'name.taken', name });
}
