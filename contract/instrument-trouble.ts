import { z } from 'zod';

/** What can be the matter with an instrument while it is read. */
export const instrumentTrouble = z.discriminatedUnion('is', [
  z.object({ is: z.literal('none') }),
  /** It cannot be reached, or has stopped answering; it is asked again where it is only read. */
  z.object({ is: z.literal('lost'), at: z.string(), again: z.boolean() }),
  /** It answers, and says that it has no such register. */
  z.object({ is: z.literal('refused'), what: z.string(), register: z.number() }),
  /** What comes is no number, or lies outside what the instrument reads at all. */
  z.object({
    is: z.literal('beyond'),
    what: z.string(),
    value: z.number(),
    unit: z.string(),
    most: z.number(),
  }),
  /** Exactly the same for so long that it may have stopped reading. */
  z.object({ is: z.literal('frozen'), what: z.string(), seconds: z.number() }),
  /** What it shows and what is asked are as far apart as two units are. */
  z.object({ is: z.literal('unit'), what: z.string(), sends: z.string(), setTo: z.string() }),
  /** There is nothing on it that reads what is asked. */
  z.object({ is: z.literal('nothing'), what: z.string() }),
  /** Its readings come by themselves, where it types or sends them. */
  z.object({ is: z.literal('typed') }),
]);
export type InstrumentTrouble = Readonly<z.output<typeof instrumentTrouble>>;

/** What is the matter, and what to do, in words; nothing where all is well. */
export function sayTrouble(trouble: InstrumentTrouble): string {
  switch (trouble.is) {
    case 'none':
      return '';
    case 'lost':
      return trouble.again
        ? `The instrument at ${trouble.at} does not answer. Nothing is read; it is asked again until it answers.`
        : `The instrument at ${trouble.at} does not answer. Nothing is read and nothing can be set on it: stop its pump, its air or its signal at the instrument itself, then read it again.`;
    case 'refused':
      return `The instrument has no ${trouble.what} at register ${trouble.register}: see its register map on Setup.`;
    case 'beyond':
      return `${trouble.what} comes as ${trouble.value} ${trouble.unit}, more than it can read (${trouble.most} ${trouble.unit}): is it set in the right unit, byte order and scale? Not taken.`;
    case 'frozen':
      return `${trouble.what} has been exactly the same for ${trouble.seconds} s: change what it reads, or tap it, before you trust it.`;
    case 'unit':
      return `${trouble.what} is off by just what ${trouble.sends} is from ${trouble.setTo}: it may send ${trouble.sends}. Compare it with its own face.`;
    case 'typed':
      return 'It types its readings to this screen by itself: press the button on the instrument.';
    case 'nothing':
      return `Nothing on this instrument reads ${trouble.what}: read it by eye and type it.`;
  }
}
