import { z } from 'zod';
import { quantityOf, thou } from '../quantity';
import { PLANTED_FAULTS } from './sick-valve/planted-fault';
import { chance, seedFrom } from './random';

/** What is really the matter with a simulated valve: the truth that its instruments then read, with noise. */
export const conditionSchema = z.strictObject({
  stemBow: quantityOf('length'),
  stemBowDegrees: z.number().min(0).max(360),
  /** Amplitude of the two-lobed out-of-round. */
  stemOvality: quantityOf('length'),
  /** Height of what is trapped between disc and seat at the first, second… seat test; none after the last. */
  trapped: z.array(quantityOf('length')).max(5),
  /** The block valve upstream passes: the gauge at the vent never falls to zero. */
  blockValvePasses: z.boolean(),
  /** How a relief valve is really set: how far its screw is off, and how much later it opens while dirt holds it, shares of its set pressure. */
  relief: z
    .strictObject({ screwOff: z.number().min(-0.5).max(0.5), dirt: z.number().min(0).max(1) })
    .exactOptional(),
  /** How far its positioner is out of set: shares of its travel, its span and its supply. */
  positioner: z
    .strictObject({
      zero: z.number().min(-0.5).max(0.5),
      span: z.number().min(-0.5).max(0.5),
      balance: z.number().min(-0.5).max(0.25),
    })
    .exactOptional(),
  /** A fault planted for the fault finder. */
  fault: z.enum(PLANTED_FAULTS).exactOptional(),
});

export type Condition = z.output<typeof conditionSchema>;

/** A believable condition for a valve that has none written down: mostly sound, repeatable by its name. */
export function conditionOf(name: string): Condition {
  const dice = chance(seedFrom(name));
  const bent = dice.uniform() < 0.2;
  return {
    stemBow: thou((bent ? 2.5 : 0.4) + dice.uniform() * (bent ? 2 : 0.6)),
    stemBowDegrees: Math.round(dice.uniform() * 359),
    stemOvality: thou(0.05 + dice.uniform() * 0.15),
    trapped: [],
    blockValvePasses: false,
  };
}
