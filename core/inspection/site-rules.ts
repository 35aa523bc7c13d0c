import { z } from 'zod';
import { inches, quantityOf, thou } from '../quantity';
import { API_598_EDITIONS, GRIND_IN_TO_IN, REFACE_TO_IN } from '../standards';
import { schoolsSchema, USUAL_SCHOOLS } from './schools';

export const CERTIFICATE_BY = ['not who did the work', 'anybody'] as const;
export const SEALED_BY = ['a lead or an inspector', 'anybody'] as const;
export const SAFETY_PARTS_BY = ['a lead and an inspector', 'a lead or an inspector'] as const;

const TURN_JOINT_FACE_TO = inches(1 / 16);
const LATHE_TO = inches(1 / 32);
/** Months, as many sites have them (common practice). */
const USUAL_LADDER = [12, 24, 36, 60] as const;
const LONGEST_MONTHS = 120;
/** The longest interval, until a site says what its law is. */
const RELIEF_MONTHS = LONGEST_MONTHS;

/** What a site has decided for itself. Each default is common practice; the site's name stands beside its rules. */
export const siteRulesSchema = z.strictObject({
  /** Whose rules these are, as paper shows it. */
  name: z.string().min(1).max(80),
  stemTirToOneInch: quantityOf('length'),
  stemTirAboveOneInch: quantityOf('length'),
  /** Out-of-round on the diameter. */
  stemOutOfRound: quantityOf('length'),
  straighteningAllowed: z.boolean(),
  /** Seat damage up to here is ground in or lapped. */
  grindInTo: quantityOf('length'),
  /** Deeper, up to here, is refaced; deeper still goes to the lathe. */
  refaceTo: quantityOf('length'),
  /** Joint-face damage up to here is lapped on a block. */
  lapJointFaceTo: quantityOf('length'),
  /** Deeper, up to here, it is turned; deeper still somebody decides what wall is left. */
  turnJointFaceTo: quantityOf('length').default(TURN_JOINT_FACE_TO),
  /** A seating face whose stock nobody knows is machined no deeper than this. */
  latheTo: quantityOf('length').default(LATHE_TO),
  widestBlueLine: quantityOf('length'),
  bluingRoundsBeforeReface: z.int().min(1).max(10),
  passes: z.enum(['quarters', 'thirds']),
  /** A click this far under its setting does not count. */
  lowTorquePercent: z.number().min(0).max(30),
  nutFactor: z.number().min(0.05).max(0.5),
  yieldPercent: z.number().min(10).max(70),
  api598Edition: z.enum(API_598_EDITIONS),
  /** Stagger of the ring joints, degrees. */
  jointStagger: z.union([z.literal(90), z.literal(120), z.literal(180)]),
  nextDueMonths: z.int().min(1).max(120),
  /** Intervals that a valve is lengthened and shortened by, by how it was found; the shortest first. */
  ladderMonths: z
    .array(z.int().min(1).max(240))
    .min(1)
    .max(12)
    .default([...USUAL_LADDER]),
  /** No valve waits longer than this. */
  longestMonths: z.int().min(1).max(240).default(LONGEST_MONTHS),
  /** No relief valve longer than this, by the law that the site is under. */
  reliefMonths: z.int().min(1).max(240).default(RELIEF_MONTHS),
  /** Who may sign a certificate. */
  certificateBy: z.enum(CERTIFICATE_BY).default('not who did the work'),
  /** Who may overrule the call on a safety part. */
  safetyPartsBy: z.enum(SAFETY_PARTS_BY).default('a lead and an inspector'),
  /** Who may seal a relief valve, where the law leaves it to the site. */
  sealedBy: z.enum(SEALED_BY).default('a lead or an inspector'),
  /** Which school the site follows, where practitioners disagree. */
  schools: schoolsSchema.default(USUAL_SCHOOLS),
});

export type SiteRules = z.output<typeof siteRulesSchema>;

/** Defaults of common practice, for a site that has said nothing. */
export const USUAL_RULES: SiteRules = {
  name: 'Common practice',
  stemTirToOneInch: thou(3),
  stemTirAboveOneInch: thou(5),
  stemOutOfRound: thou(2),
  straighteningAllowed: false,
  grindInTo: inches(GRIND_IN_TO_IN),
  refaceTo: inches(REFACE_TO_IN),
  lapJointFaceTo: inches(0.005),
  turnJointFaceTo: TURN_JOINT_FACE_TO,
  latheTo: LATHE_TO,
  widestBlueLine: inches(1 / 16),
  bluingRoundsBeforeReface: 3,
  passes: 'quarters',
  lowTorquePercent: 5,
  nutFactor: 0.16,
  yieldPercent: 50,
  api598Edition: 'stricter',
  jointStagger: 90,
  nextDueMonths: 36,
  ladderMonths: [...USUAL_LADDER],
  longestMonths: LONGEST_MONTHS,
  reliefMonths: RELIEF_MONTHS,
  certificateBy: 'not who did the work',
  safetyPartsBy: 'a lead and an inspector',
  sealedBy: 'a lead or an inspector',
  schools: USUAL_SCHOOLS,
};
