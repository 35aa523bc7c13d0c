import { z } from 'zod';
import { CONSTRUCTION_IDS, defaultValve, type Valve } from '../../valve';
import { drillId, levelSchema } from './ids';

/** What an exercise is made from: the same ticket is the same exercise, anywhere. */
export const ticketSchema = z.strictObject({
  drill: drillId,
  seed: z.int().min(0).max(0xffffffff),
  level: levelSchema,
  construction: z.enum(CONSTRUCTION_IDS),
  /** What a teacher put into it by hand; read by its kind. */
  planted: z.record(z.string().max(40), z.unknown()).exactOptional(),
});
export type Ticket = z.output<typeof ticketSchema>;

/** The valve that a drill is on: nobody's, a usual one of its construction. */
export const valveOfDrill = ({ construction }: Pick<Ticket, 'construction'>): Valve => ({
  ...defaultValve(construction),
  tag: 'drill',
});
