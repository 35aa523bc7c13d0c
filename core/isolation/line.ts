import { z } from 'zod';
import { quantityOf } from '../quantity';
import { closureOf, moverOf, positionerOf, relieves, type Features } from '../valve';

export const SIDES = ['upstream', 'downstream'] as const;
export type Side = (typeof SIDES)[number];

/** What stands between the valve and its process on one side. */
export const SHUT_BY = ['block valve', 'double block and bleed', 'line shut down', 'open end'] as const;
export type ShutBy = (typeof SHUT_BY)[number];

export const SHUT_BY_WORDS: Readonly<Record<ShutBy, string>> = {
  'block valve': 'one block valve',
  'double block and bleed': 'two block valves with a bleed between',
  'line shut down': 'none: the line is shut down',
  'open end': 'none: it opens to atmosphere',
};

const side = z.strictObject({
  shutBy: z.enum(SHUT_BY),
  /** A vent or drain between the block and the valve, where a gauge proves zero. */
  vent: z.boolean(),
});

/** How a valve stands in its line, chosen rather than drawn: what has to be shut, vented, switched off and proved. */
export const lineSchema = z
  .strictObject({
    upstream: side,
    downstream: side,
    bypass: z.boolean(),
    /** Its own body vent, drain or bonnet fitting. */
    bodyVent: z.boolean(),
    air: z.boolean(),
    signal: z.enum(['none', 'pneumatic', 'electric']),
    power: z.boolean(),
    /** Volume shut in between the blocks, where it is known. */
    trapped: quantityOf('volume').exactOptional(),
    /** Of the actuator, where they are known: with the spring range of the plate they give what its spring holds. */
    actuatorArea: quantityOf('area').exactOptional(),
    actuatorTravel: quantityOf('length').exactOptional(),
  })
  .superRefine((line, context) => {
    for (const wrong of checkLine(line)) context.addIssue({ code: 'custom', message: wrong });
  });
export type Line = z.output<typeof lineSchema>;

/** What cannot stand: a side that could hold pressure and has nowhere to prove that it does not. */
export function checkLine(line: {
  readonly [K in Side]: { readonly shutBy: ShutBy; readonly vent: boolean };
}): string[] {
  return SIDES.filter((at) => line[at].shutBy !== 'open end' && !line[at].vent).map(
    (at) =>
      `Nothing proves that the ${at} side is at zero: say where its vent or drain is, or shut it further away.`,
  );
}

/** The line that a valve usually stands in (common practice), to begin from. */
export function usualLine(features: Features): Line {
  const air = moverOf(features).byAir === true;
  const closure = closureOf(features);
  const mover = moverOf(features);
  return {
    upstream: { shutBy: closure.onPump ? 'line shut down' : 'block valve', vent: true },
    downstream: relieves(closure)
      ? { shutBy: 'open end', vent: false }
      : { shutBy: 'block valve', vent: true },
    bypass: air && !mover.noBypass,
    bodyVent: closure.isolatedAs === 'closed, its body bled',
    air,
    signal: air || positionerOf(features) ? 'pneumatic' : 'none',
    power: mover.power === true,
  };
}
