import { closureOf, relieves } from './closures';
import type { ConstructionId } from './constructions';
import { moverOf } from './movers';
import type { ValveDraft } from './new-valve';

/** Something on a plate that the construction chosen has no use for: another one is more likely. */
export interface PlateDoubt {
  readonly words: string;
  readonly likely: ConstructionId;
}

export function plateDoubt({ plate, features }: ValveDraft): PlateDoubt | undefined {
  const stamped = plate.setPressure !== undefined || plate.orifice !== undefined || plate.stamp !== undefined;
  const closure = closureOf(features);
  if (stamped && !relieves(closure) && closure.duty !== 'regulate')
    return {
      words: `A ${plate.setPressure ? 'set pressure' : plate.orifice ? 'relief orifice' : 'relief stamp'} on the plate: a relief valve?`,
      likely: 'relief-spring',
    };
  if (plate.springRange !== undefined && moverOf(features).byAir !== true)
    return { words: 'A spring range on the plate: moved by air?', likely: 'control-balanced-cage' };
  return undefined;
}
