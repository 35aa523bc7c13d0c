import { z } from 'zod';
import { siteRulesSchema } from '../../inspection';
import { closureOf, featuresSchema, SHELF_UNIT_KINDS, valveSchema } from '../../valve';
import { carriedSchema } from '../carried';
import { defineEvent, type Upgrade } from '../define-event';
import { PLACES } from '../places';
import { SCOPES } from '../scopes';

const first = z.looseObject({
  came: z.enum(['in line', 'bare']),
  valve: z.looseObject({ features: z.unknown() }),
});

/**
 * Format 1 knew two ways to come, and did not say of a valve in its line whether it stayed there: those that are worked on
 * where they stand did, all others were lifted out and put back.
 */
const placeOfThree: Upgrade = {
  name: 'stays in its line, out and back, or bare',
  up: (body) => {
    const read = first.safeParse(body);
    if (!read.success) return body;
    const { came, ...rest } = read.data;
    const features = featuresSchema.safeParse(rest.valve.features);
    const stays = features.success && closureOf(features.data).staysInLine === true;
    return { ...rest, place: came === 'bare' ? 'bare' : stays ? 'in line' : 'out and back' };
  },
};

export const jobOpened = defineEvent({
  kind: 'job-opened',
  notWork: true,
  body: z.strictObject({
    valve: valveSchema,
    site: siteRulesSchema,
    place: z.enum(PLACES),
    /** What it is for; absent: an overhaul. */
    scope: z.enum(SCOPES).exactOptional(),
    reported: z.string().max(400),
    due: z.iso.date().exactOptional(),
    /** Only this unit of the valve is on the bench: it was swapped out and goes back to the shelf. */
    only: z.enum(SHELF_UNIT_KINDS).exactOptional(),
    /** What the valve brings from the jobs before, as it was known then. */
    carried: carriedSchema.exactOptional(),
  }),
  upgrades: [placeOfThree],
  describe: ({ valve, reported }) => `Received ${valve.tag}${reported ? `: ${reported}` : ''}`,
});
