import { Refusal } from '../refusal';

/** Two of one name cannot be told apart: `has` is who has it now, `but` whoever may keep it. */
export function refuseTaken(name: string, has: { readonly id: string } | null, but?: string): void {
  if (has && has.id !== but) throw new Refusal({ code: 'name.taken', name });
}
