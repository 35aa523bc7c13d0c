import { z } from 'zod';

/**
 * Where practitioners disagree: each question with its schools, the first the default, and what each gives up. A site
 * chooses for its jobs, a technician for one job. Source: common practice.
 */
export const SCHOOLS = {
  leakingGland: {
    question: 'A leaking gland, the box still pressurised',
    choices: {
      ladder:
        'Lubricate, tighten, add, then repack: each rung may be enough, and costs its time when it is not.',
      repack: 'Straight to a full repack: the better job, and the line is down for it.',
    },
  },
  packingRemoval: {
    question: 'Getting old packing out',
    choices: {
      'by chamber': 'Wood and plastic in a finished chamber, a hook in a plain box.',
      'non-metallic': 'Wood and plastic always, after a solvent soak: slower, and nothing is scored.',
      hook: 'A hook, or a screw pulled into a rigid ring: quick, and steel scores a finished wall.',
    },
  },
  glandTightness: {
    question: 'Final gland tightness',
    choices: {
      'by sheet': 'Torque where a figure is on file, turns where there is none.',
      turns: 'Touch plus one turn: right for soft packing only.',
    },
  },
  spotting: {
    question: 'The disc while it is spotted or ground in',
    choices: {
      'locked to the stem': 'Shimmed so that disc and stem turn as one: true to the stem as it will run.',
      'free on a lapping tool': 'Floating, driven by lugs: finds its own seat, and hides a bent stem.',
    },
  },
  lappingPressure: {
    question: 'Pressure when lapping',
    choices: {
      'block or hand': 'Light: the part’s own weight is enough.',
      'guided tool': 'Firm: the guide keeps it true.',
    },
  },
  bluing: {
    question: 'How the blue is taken',
    choices: {
      'quarter turn': 'A quarter turn under light pressure: shows the line, smears a thick film.',
      'straight down': 'Pressed straight down, no turn: shows true contact, and misses a thin one.',
    },
  },
  gateSeats: {
    question: 'Seats of a wedge gate',
    choices: {
      'on the bench': 'Out of the body and lapped, the wedge on a block; no spotting.',
      'ground in line': 'Ground in line with a portable grinder, the wedge blued and pressed home.',
    },
  },
  repairOrRenew: {
    question: 'A seat that could be repaired',
    choices: {
      compare: 'Both sums side by side for this part, then the cheaper: right, and a minute’s work.',
      repair: 'Repaired while there is metal: cheaper part.',
      renew: 'Renewed: cheaper hours, when the part is there.',
    },
  },
} as const;

export type Question = keyof typeof SCHOOLS;
export const QUESTIONS = [
  'leakingGland',
  'packingRemoval',
  'glandTightness',
  'spotting',
  'lappingPressure',
  'bluing',
  'gateSeats',
  'repairOrRenew',
] as const satisfies readonly Question[];

export const schoolsSchema = z.strictObject({
  leakingGland: z.enum(['ladder', 'repack']),
  packingRemoval: z.enum(['by chamber', 'non-metallic', 'hook']),
  glandTightness: z.enum(['by sheet', 'turns']),
  spotting: z.enum(['locked to the stem', 'free on a lapping tool']),
  lappingPressure: z.enum(['block or hand', 'guided tool']),
  bluing: z.enum(['quarter turn', 'straight down']),
  gateSeats: z.enum(['on the bench', 'ground in line']),
  repairOrRenew: z.enum(['compare', 'repair', 'renew']),
});

export type Schools = z.output<typeof schoolsSchema>;

/** The default of each question. */
export const USUAL_SCHOOLS: Schools = {
  leakingGland: 'ladder',
  packingRemoval: 'by chamber',
  glandTightness: 'by sheet',
  spotting: 'locked to the stem',
  lappingPressure: 'block or hand',
  bluing: 'quarter turn',
  gateSeats: 'on the bench',
  repairOrRenew: 'compare',
};

/** One choice of one question. */
export const wayChosenSchema = z.discriminatedUnion('question', [
  z.strictObject({ question: z.literal('leakingGland'), choice: schoolsSchema.shape.leakingGland }),
  z.strictObject({ question: z.literal('packingRemoval'), choice: schoolsSchema.shape.packingRemoval }),
  z.strictObject({ question: z.literal('glandTightness'), choice: schoolsSchema.shape.glandTightness }),
  z.strictObject({ question: z.literal('spotting'), choice: schoolsSchema.shape.spotting }),
  z.strictObject({ question: z.literal('lappingPressure'), choice: schoolsSchema.shape.lappingPressure }),
  z.strictObject({ question: z.literal('bluing'), choice: schoolsSchema.shape.bluing }),
  z.strictObject({ question: z.literal('gateSeats'), choice: schoolsSchema.shape.gateSeats }),
  z.strictObject({ question: z.literal('repairOrRenew'), choice: schoolsSchema.shape.repairOrRenew }),
]);
