import { siteRulesSchema } from '@dusk-wren/core/inspection';
import { INSTRUMENT_KINDS, ROLES } from '@dusk-wren/core/job';
import { isTimeZone, LONGEST_LINE } from '@dusk-wren/core/quantity';
import { z } from 'zod';

/** What a lead sets up, as web and server both see it. */

const oneOf = <const T extends readonly [string, ...string[]]>(choices: T) =>
  z.enum(choices, `one of ${choices.join(', ')}`);
const words = (most: number) => z.string().trim().min(1).max(most);

/** How somebody stands: at work, with a code that was not used yet, or gone. */
export const PERSON_STANDINGS = ['here', 'invited', 'code over', 'left', 'erased'] as const;

export const setupPerson = z.object({
  id: z.uuid(),
  name: z.string(),
  role: z.enum(ROLES),
  skills: z.array(z.string()),
  standing: z.enum(PERSON_STANDINGS),
  hasBadge: z.boolean(),
  /** Screens that they are signed in at now. */
  screens: z.number(),
  leftAt: z.iso.datetime().nullable(),
});
export type SetupPerson = z.output<typeof setupPerson>;
export const setupPeopleView = z.object({ people: z.array(setupPerson) });

export const newPersonRequest = z.strictObject({
  name: words(80),
  role: oneOf(ROLES),
  skills: z.array(words(40)).max(20).default([]),
});
export const changePersonRequest = z
  .strictObject({
    name: words(80).exactOptional(),
    role: z.enum(ROLES).exactOptional(),
    skills: z.array(words(40)).max(20).exactOptional(),
    /** What their badge says to a scanner, or that they have none. */
    badge: z.string().trim().min(4).max(60).nullable().exactOptional(),
    /** Gone, or back again. */
    left: z.boolean().exactOptional(),
  })
  .refine((change) => Object.keys(change).length > 0, 'nothing is changed');

/** A person with the code that they sign in with the first time; it is shown this once. */
export const personWithCode = z.object({ person: setupPerson, code: z.string(), until: z.iso.datetime() });
export type PersonWithCode = z.output<typeof personWithCode>;

/** The code from a lead, and the PIN that somebody chooses in its place. */
export const ownPinRequest = z.strictObject({
  personId: z.uuid(),
  code: z.string().min(4).max(64),
  pin: z.string().min(4).max(64),
});

/** A calibration as its certificate says it; how far off, percent of what it reads. */
const calibration = {
  day: z.iso.date(),
  due: z.iso.date(),
  foundOffPercent: z.number().min(-90).max(100),
  leftOffPercent: z.number().min(-90).max(100),
  certificate: words(60),
};
export const calibrationRequest = z.strictObject(calibration).refine(({ day, due }) => due > day, {
  path: ['due'],
  message: 'it is due after the day that it was done',
});
export const setupCalibration = z.object({
  ...calibration,
  id: z.number().int(),
  by: z.string(),
  /** The file of its certificate, by its name; nothing where there is none. */
  file: z.string().nullable(),
});
/** What a certificate that is attached is called. */
export const certificateQuery = z.strictObject({ name: words(120) });

const settingNames = {
  name: z.string(),
  label: z.string(),
  /** What it is a setting of, where a driver reads several values: settings of one label stand in one column. */
  of: z.string().exactOptional(),
};
/** Something that a lead sets on a driver: a number within limits, one of a few words, or an address. */
const driverSetting = z.discriminatedUnion('is', [
  z.object({
    ...settingNames,
    is: z.literal('number'),
    least: z.number(),
    most: z.number(),
    usual: z.number(),
    whole: z.boolean().exactOptional(),
  }),
  z.object({ ...settingNames, is: z.literal('choice'), options: z.array(z.string()), usual: z.string() }),
  z.object({ ...settingNames, is: z.literal('address'), usual: z.string() }),
  z.object({ ...settingNames, is: z.literal('text'), usual: z.string(), most: z.number() }),
]);
export type DriverSetting = Readonly<z.output<typeof driverSetting>>;
/** How a driver is set, by the names of its settings. */
export const driverSettings = z
  .record(
    z.string().min(1).max(40),
    z.union([z.number(), z.string().max(LONGEST_LINE)], 'each a number, or a line of text'),
  )
  .refine((settings) => Object.keys(settings).length <= 80, 'more than any driver has');
export type DriverSettings = Readonly<z.output<typeof driverSettings>>;
/** How a driver is to be set while it is tried, as an address can say it. */
export const trialQuery = z.record(z.string(), z.string().max(LONGEST_LINE));
const driverView = z.object({
  driver: z.string(),
  kind: z.enum(INSTRUMENT_KINDS),
  settings: z.array(driverSetting),
});
export type DriverView = z.output<typeof driverView>;

/** What the instrument's own face shows, to be held against what its driver reads. */
export const compareRequest = z.strictObject({
  settings: driverSettings,
  channel: z.string().max(40),
  shows: z.number().refine((value) => value !== 0, 'at zero every way reads alike: put something on it'),
  unit: z.string().max(20),
});
const wayToRead = z.object({ type: z.string(), order: z.string(), scale: z.number(), unit: z.string() });
export type WayToRead = z.output<typeof wayToRead>;
/** What is read beside it, and every way of setting that would read what is shown. */
export const comparedView = z.object({
  /** Nothing where it is no number. */
  reads: z.number().nullable(),
  unit: z.string(),
  isSame: z.boolean(),
  ways: z.array(wayToRead.extend({ settings: driverSettings })),
});
export type Compared = z.output<typeof comparedView>;

export const setupInstrument = z.object({
  id: z.uuid(),
  name: z.string(),
  kind: z.enum(INSTRUMENT_KINDS),
  serial: z.string(),
  reach: z.string(),
  resolution: z.string(),
  /** What reads it; nothing where it is read by eye. */
  driver: z.string(),
  settings: driverSettings,
  simulated: z.boolean(),
  calibrationDue: z.string(),
  inCalibration: z.boolean(),
  retired: z.boolean(),
  /** Newest first. */
  calibrations: z.array(setupCalibration),
});
export type SetupInstrument = z.output<typeof setupInstrument>;
export const setupInstrumentsView = z.object({
  instruments: z.array(setupInstrument),
  drivers: z.array(driverView),
});

const instrumentFields = {
  name: words(80),
  serial: z.string().trim().max(60),
  reach: z.string().trim().max(60),
  resolution: z.string().trim().max(40),
  driver: z.string().trim().max(40),
};
export const newInstrumentRequest = z.strictObject({
  ...instrumentFields,
  kind: oneOf(INSTRUMENT_KINDS),
  calibrationDue: z.iso.date(),
  settings: driverSettings.default({}),
});
export const changeInstrumentRequest = z
  .strictObject({
    name: instrumentFields.name.exactOptional(),
    serial: instrumentFields.serial.exactOptional(),
    reach: instrumentFields.reach.exactOptional(),
    resolution: instrumentFields.resolution.exactOptional(),
    driver: instrumentFields.driver.exactOptional(),
    settings: driverSettings.exactOptional(),
    retired: z.boolean().exactOptional(),
  })
  .refine((change) => Object.keys(change).length > 0, 'nothing is changed');

/** In whose units it is said. */
export const instrumentReadingsQuery = z.strictObject({ units: z.enum(['US', 'SI']) });

/** What an instrument read since a day, newest first. */
export const instrumentReadingsView = z.object({
  since: z.iso.date().nullable(),
  readings: z.array(
    z.object({
      job: z.uuid(),
      tag: z.string(),
      at: z.string(),
      step: z.string(),
      what: z.string(),
      by: z.string(),
    }),
  ),
  more: z.boolean(),
});
export type InstrumentReadings = z.output<typeof instrumentReadingsView>;

export const SETUP_SUBJECTS = [
  'people',
  'instruments',
  'places',
  'sites',
  'sheets',
  'valves',
  'shop',
  'hours',
  'week',
  'recalls',
  'training',
  'machines',
] as const;
export const setupChange = z.object({
  id: z.number(),
  at: z.iso.datetime(),
  by: z.string(),
  subject: z.enum(SETUP_SUBJECTS),
  what: z.string(),
});
export const setupChangesView = z.object({ changes: z.array(setupChange), more: z.boolean() });
export type SetupChange = z.output<typeof setupChange>;
export const setupChangesQuery = z.strictObject({
  q: z.string().trim().max(60).exactOptional(),
  before: z.coerce.number().int().positive().exactOptional(),
});

/** A back-up: a whole file, or why there is none. */
export const setupBackup = z.object({
  beganAt: z.iso.datetime(),
  endedAt: z.iso.datetime(),
  file: z.string().nullable(),
  bytes: z.number().nullable(),
  sha256: z.string().nullable(),
  failed: z.string().nullable(),
});
export type SetupBackup = z.output<typeof setupBackup>;
export const setupBackupsView = z.object({
  /** Where they are written; nothing where the server takes none. */
  folder: z.string().nullable(),
  everyHours: z.number(),
  keep: z.number(),
  isSealed: z.boolean(),
  /** The last whole one, however long ago. */
  lastGood: setupBackup.nullable(),
  isOverdue: z.boolean(),
  /** The server's clock was put on, or back, while it ran. */
  clockJump: z.object({ at: z.iso.datetime(), bySeconds: z.number() }).nullable(),
  /** Newest first. */
  backups: z.array(setupBackup),
});
export type SetupBackups = z.output<typeof setupBackupsView>;

/** A customer's site and the rules that its next job is opened under. */
export const setupSite = z.object({
  customer: z.string(),
  /** How often its rules were set. */
  version: z.number().int(),
  rules: siteRulesSchema,
  openJobs: z.number().int(),
});
export type SetupSite = z.output<typeof setupSite>;
export const setupSitesView = z.object({ sites: z.array(setupSite) });
export const newSiteRequest = z.strictObject({ customer: words(80) });
export const siteRulesRequest = z.strictObject({
  customer: words(80),
  /** The version that was changed. */
  version: z.number().int().positive(),
  rules: siteRulesSchema,
});
/** What would stand otherwise on a job. */
const differences = {
  calls: z.array(z.object({ part: z.string(), is: z.string(), would: z.string() })),
  more: z.array(z.string()),
  fewer: z.array(z.string()),
  undone: z.array(z.string()),
};
/** What other rules would make of the jobs that are open, none of which they change. */
export const siteEffectsView = z.object({
  jobs: z.array(
    z.object({
      job: z.uuid(),
      tag: z.string(),
      ...differences,
      other: z.array(z.string()),
    }),
  ),
  /** Open jobs that were looked at. */
  looked: z.number().int(),
});
export type SiteEffects = z.output<typeof siteEffectsView>;

/** What a shop has of what it wants before its first valve. */
export const SHOP_WANTS = ['shop', 'people', 'places', 'instruments', 'sites', 'keeping'] as const;
export const shopBegun = z.object({ has: z.array(z.enum(SHOP_WANTS)), isOver: z.boolean() });
export type ShopBegun = z.output<typeof shopBegun>;

/** What the shop itself has decided. */
export const shopSettings = z.strictObject({
  name: words(80),
  units: z.enum(['US', 'SI']),
  /** By whose clocks its days begin, as the IANA database names it. */
  zone: z.string().max(60).refine(isTimeZone, 'no time zone is called that'),
  /** Minutes after which a screen that nobody touches locks itself; never where it is nothing. */
  lockMinutes: z.int().min(0).max(240),
  /** Who shows a code of an authenticator at sign-in, beside the PIN. */
  secondFactor: z.enum(['nobody', 'leads', 'leads and inspectors']),
  /** Months after which what is known of who has left is erased; by hand alone where it is nothing. */
  erasedAfterMonths: z.int().min(0).max(120).default(0),
});
export type ShopSettings = z.output<typeof shopSettings>;

/** What an instrument that was found off has touched, from the day it was last good to the day it was found. */
export const instrumentTraceView = z.object({
  since: z.iso.date().nullable(),
  until: z.iso.date(),
  offPercent: z.number(),
  /** Jobs that were read with it in those days, and whether there are more than were looked at. */
  looked: z.number().int(),
  more: z.boolean(),
  jobs: z.array(
    z.object({
      job: z.uuid(),
      tag: z.string(),
      /** Whether its certificate is signed: the valve may be in service. */
      isOut: z.boolean(),
      ...differences,
      refused: z.array(z.string()),
      isRecalled: z.boolean(),
    }),
  ),
});
export type InstrumentTrace = z.output<typeof instrumentTraceView>;

/** A job called back. */
export const recallView = z.object({
  id: z.number().int(),
  job: z.uuid(),
  tag: z.string(),
  location: z.string(),
  instrument: z.string(),
  why: z.array(z.string()),
  openedAt: z.iso.datetime(),
  openedBy: z.string(),
  closed: z.object({ at: z.iso.datetime(), by: z.string(), why: z.string() }).nullable(),
});
export type RecallView = z.output<typeof recallView>;
export const recallsView = z.object({ recalls: z.array(recallView) });
export const closeRecallRequest = z.strictObject({ why: words(400) });
