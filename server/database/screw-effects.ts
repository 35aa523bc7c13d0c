import { valveOf, SCREWS } from '@dusk-wren/core/job';
import { screwEffectsIn, type ScrewEffect } from '@dusk-wren/core/task';
import { sheetKey } from '@dusk-wren/core/valve';
import { z } from 'zod';
import type { Change } from './change';
import { ScrewEffectRow } from './models';

const effects = z.array(z.object({ screw: z.enum(SCREWS), what: z.string(), perTurn: z.number() }));

/** What a turn of each screw did on the last valve of this model. */
export async function listScrewEffects(model: string): Promise<ScrewEffect[]> {
  return effects.parse(await ScrewEffectRow.findAll({ where: { model: sheetKey(model) }, raw: true }));
}

/** A job that is signed teaches what the screws of its model do. */
export async function followScrews({ before, after, transaction }: Change): Promise<void> {
  const signedNow = after.records['certificate-signed'].length > before.records['certificate-signed'].length;
  const model = valveOf(after)?.plate?.model;
  if (!signedNow || model === undefined) return;
  for (const { screw, what, perTurn } of screwEffectsIn(after))
    await ScrewEffectRow.upsert({ model: sheetKey(model), screw, what, perTurn }, { transaction });
}
