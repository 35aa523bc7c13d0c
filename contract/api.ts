import {
  commandId,
  entrySchema,
  INSTRUMENT_KINDS,
  instrumentId,
  jobId,
  personId,
  PLACES,
  SCOPES,
  ROLES,
  SCREWS,
  STAGES,
  valveId,
} from '@dusk-wren/core/job';
import { CHECK_IDS, CAUSE_IDS, SYMPTOM_IDS } from '@dusk-wren/core/diagnosis';
import { blockedSchema } from '@dusk-wren/core/plan';
import { leakSchema, linePattern } from '@dusk-wren/core/quantity';
import { LIKENESSES, SHELF_UNIT_KINDS, valveSchema } from '@dusk-wren/core/valve';
import { z } from 'zod';
import { instrumentTrouble } from './instrument-trouble';
import { plannedPiece } from './planned';

/** The HTTP API as the web and the server both see it: schemas of what is sent and what comes back. */

export const personView = z.object({ id: personId, name: z.string(), role: z.enum(ROLES) });
export type PersonView = z.output<typeof personView>;

export const signInRequest = z.strictObject({
  personId,
  pin: z.string().min(4).max(64),
  /** The code of an authenticator, where the shop asks for one. */
  second: z
    .string()
    .regex(/^\d{6}$/, 'six digits')
    .exactOptional(),
});

/** Who is signed in; the token goes back with every write, and so does the person's id (`x-person`). */
export const sessionView = z.object({
  person: personView.nullable(),
  csrf: z.string(),
  /** Whose shop this is, as its pages and papers say. */
  shop: z.string(),
  /** The units that somebody begins with here; a server from before an update says none. */
  units: z.enum(['US', 'SI']).default('US'),
  /** Minutes after which a screen that nobody touches locks itself; never where it is nothing. */
  lockMinutes: z.number().default(0),
  /** What seals on this device what is kept for who is here: 32 bytes in base64. */
  deviceKey: z.string().nullable().default(null),
});
export type SessionView = z.output<typeof sessionView>;

export const peopleView = z.object({ people: z.array(personView) });

/** A badge that was scanned at a shared screen: whose it is, whose PIN is asked then. */
export const badgeRequest = z.strictObject({ code: z.string().trim().min(4).max(60) });
export const badgeView = z.object({ personId: z.uuid() });

/** The first lead of a shop with nobody in it, by the code that its server printed. */
export const firstLeadRequest = z.strictObject({
  code: z.string().trim().min(1).max(40),
  name: z.string().trim().min(1).max(80),
  pin: z.string().min(4).max(64),
});

/** The PIN, asked again for one signature; what comes back goes with that command. */
export const confirmationRequest = z.strictObject({
  pin: z.string().min(1).max(64),
  commandId,
  /** Who signs, where that is not who is signed in. */
  personId: z.uuid().exactOptional(),
});
export const confirmationView = z.object({ confirmation: z.string() });

export const jobSummaryView = z.object({
  state: z.enum(['open', 'released', 'condemned']),
  stage: z.enum(STAGES),
  scope: z.enum(SCOPES).exactOptional(),
  travel: z.number(),
  holds: z.array(z.object({ at: z.number(), released: z.boolean() })),
  inHand: z.string(),
  blocked: blockedSchema.exactOptional(),
  remainingMinutes: z.number(),
  awaited: z.object({ expected: z.string(), minutesAfter: z.number() }).exactOptional(),
  withPerson: z.object({ id: z.string(), name: z.string() }).exactOptional(),
  /** It came out of a file and was not checked here. */
  imported: z.literal(true).exactOptional(),
});

export const jobLine = z.object({
  id: jobId,
  valveId,
  tag: z.string(),
  serial: z.string().nullable(),
  customer: z.string(),
  location: z.string(),
  construction: z.string(),
  size: z.string(),
  due: z.string().nullable(),
  readyBy: z.string().nullable(),
  /** What the plan of the week has next for it; a server from before an update says nothing. */
  next: plannedPiece.nullable().default(null),
  openedAt: z.string(),
  summary: jobSummaryView,
});
export type JobLine = z.output<typeof jobLine>;

export const jobListQuery = z.strictObject({
  state: z.enum(['open', 'released', 'condemned', 'all']).default('open'),
  person: personId.exactOptional(),
  /** Only what waits for whoever asks: by their role, their own work or what wants their eye or word. */
  waits: z.literal('me').exactOptional(),
  q: z.string().trim().max(60).exactOptional(),
  cursor: z.string().max(120).exactOptional(),
  limit: z.coerce.number().int().min(1).max(100).default(50),
});
export const jobListView = z.object({ jobs: z.array(jobLine), next: z.string().nullable() });

export const instrumentView = z.object({
  id: instrumentId,
  name: z.string(),
  kind: z.enum(INSTRUMENT_KINDS),
  simulated: z.boolean(),
  calibrationDue: z.string(),
  inCalibration: z.boolean(),
  /** It does by itself what whoever stands at it would, as simulated ones do. */
  byItself: z.boolean().default(true),
  /** How its lines read, where it types or sends them to whatever screen stands by. */
  lines: linePattern.exactOptional(),
});
export type InstrumentView = z.output<typeof instrumentView>;
export const instrumentsView = z.object({ instruments: z.array(instrumentView) });

export const jobView = z.object({
  id: jobId,
  valveId,
  version: z.number(),
  entries: z.array(entrySchema),
});
export type JobView = z.output<typeof jobView>;

/** Opening a job: a valve on file by its id, or a new one as it was typed. */
export const openJobRequest = z.strictObject({
  commandId,
  valve: z.union([z.strictObject({ id: valveId }), z.strictObject({ new: valveSchema })]),
  place: z.enum(PLACES),
  scope: z.enum(SCOPES).exactOptional(),
  reported: z.string().trim().max(400),
  due: z.iso.date().exactOptional(),
  /** Only this unit of the valve, swapped out before, is on the bench. */
  only: z.enum(SHELF_UNIT_KINDS).exactOptional(),
  /** The work order that it is opened for. */
  order: z.string().max(40).exactOptional(),
});
export type OpenJobRequest = z.input<typeof openJobRequest>;
export const openJobView = z.object({ id: jobId });

export const commandRequest = z.strictObject({
  baseVersion: z.int().min(0),
  commandId,
  /** When it was done, where that was before it could be sent. */
  doneAt: z.iso.datetime({ offset: true }).exactOptional(),
  /** For a signature: that the PIN was asked again. */
  confirmation: z.string().max(120).exactOptional(),
  /** Who signs at a screen that is another's. */
  signedBy: z.uuid().exactOptional(),
  /** Read by the core, which knows the kinds. */
  command: z.looseObject({ kind: z.string() }),
});

/** The answer to a command that was taken: the entries it caused, wherever they now stand. */
export const commandView = z.object({ version: z.number(), entries: z.array(entrySchema) });
/** The answer to a stale base: what was missed. */
export const staleView = z.object({ version: z.number(), missed: z.array(entrySchema) });

export const liveMessage = z.object({ version: z.number(), entries: z.array(entrySchema) });

export const valveLine = z.object({ id: valveId, valve: valveSchema });
export type ValveLine = z.output<typeof valveLine>;
export const valveListView = z.object({ valves: z.array(valveLine), next: z.string().nullable() });
export const valveListQuery = z.strictObject({
  q: z.string().trim().max(60).exactOptional(),
  cursor: z.string().max(120).exactOptional(),
  limit: z.coerce.number().int().min(1).max(100).default(50),
});

/** Whom the shop works for. */
export const customersView = z.object({ customers: z.array(z.string()) });

/** Valves on file that one being typed in could be taken for. */
export const likeQuery = z.strictObject({
  tag: z.string().trim().max(40),
  serial: z.string().trim().max(60).exactOptional(),
});
export const likeView = z.object({
  like: z.array(
    z.object({
      id: valveId,
      tag: z.string(),
      serial: z.string().exactOptional(),
      likeness: z.enum(LIKENESSES),
    }),
  ),
});

/** What a simulated or real instrument streams, one message a reading. */
export const readingMessage = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('dial'), degrees: z.number(), thou: z.number() }),
  z.object({ kind: z.literal('click'), lbfFt: z.number() }),
  z.object({
    kind: z.literal('pressure'),
    psig: z.number(),
    /** On the gauge's own clock, since the watching began. */
    seconds: z.number(),
  }),
  /** What the gauges on a valve make of one check of the fault finder, and how they stand at full signal. */
  z.object({
    kind: z.literal('check'),
    check: z.enum(CHECK_IDS),
    result: z.number(),
    supplyPsig: z.number(),
    actuatorPsig: z.number(),
    strokePercent: z.number(),
  }),
  /** A valve that is stroked on the bench: its gauges, the signal that is in, its travel in percent of the rated one. */
  z.object({
    kind: z.literal('bench'),
    seconds: z.number(),
    /** How many settings it has taken so far, and how many turns of screws that were kept. */
    taken: z.number(),
    turned: z.number(),
    supplyPsig: z.number(),
    signalPercent: z.number(),
    drivenPsig: z.number(),
    /** The other side of a cylinder. */
    otherPsig: z.number().exactOptional(),
    travelPercent: z.number(),
  }),
  z.object({
    kind: z.literal('rig'),
    seconds: z.number(),
    psig: z.number(),
    phase: z.enum(['rising', 'holding', 'done']),
    held: z.number(),
    /** What was counted in the hold so far; nothing where the rig counts none and somebody watches. */
    leaked: leakSchema.shape.perMinute.nullable(),
    of: leakSchema.shape.of,
    /** How many times faster than the clock this simulated run goes. */
    rate: z.number(),
  }),
  z.object({ kind: z.literal('temperature'), celsius: z.number() }),
  /** What is the matter with an instrument while it is read; nothing any more where it is `none`. */
  z.object({ kind: z.literal('trouble'), trouble: instrumentTrouble }),
]);
export type ReadingMessage = z.output<typeof readingMessage>;

export const readingQuery = z.strictObject({
  job: jobId,
  step: z.string().min(1).max(80),
  /** The pass that a torque wrench is set for. */
  pass: z.coerce.number().int().min(0).max(9).exactOptional(),
  /** The check of the fault finder that is read. */
  check: z.enum(CHECK_IDS).exactOptional(),
  /** A name for this reading, by which the instrument is set while it is read. */
  reading: z.uuid().exactOptional(),
});

/** What is set on an instrument while it is read. A screw is turned by hand: its turns are facts of the job. */
export const instrumentControl = z.discriminatedUnion('kind', [
  /** The signal put in, percent of its range. */
  z.strictObject({ kind: z.literal('signal'), percent: z.number().min(-5).max(105) }),
  /** The signal taken up to its whole range and down again, evenly. */
  z.strictObject({ kind: z.literal('sweep'), seconds: z.number().min(5).max(300) }),
  /** What its supply is set to; none vents it. */
  z.strictObject({ kind: z.literal('supply'), psig: z.number().min(0).max(150) }),
  /** The pump of a rig, running or stopped, and its vent. */
  z.strictObject({ kind: z.literal('pump'), on: z.boolean() }),
  z.strictObject({ kind: z.literal('vent'), open: z.boolean() }),
]);
export type InstrumentControl = z.output<typeof instrumentControl>;
export const controlRequest = z.strictObject({ reading: z.uuid(), control: instrumentControl });

/** How often each cause was placed on closed jobs, by symptom: what the fault finder learns from. */
export const faultCountsView = z.object({
  counts: z.array(z.object({ symptom: z.enum(SYMPTOM_IDS), cause: z.enum(CAUSE_IDS), count: z.number() })),
});

/** What one turn of a screw did on the last valve of a model: percent of travel, or psi, for one turn clockwise. */
export const screwEffectsQuery = z.strictObject({ model: z.string().trim().min(1).max(60) });
export const screwEffectsView = z.object({
  effects: z.array(z.object({ screw: z.enum(SCREWS), what: z.string(), perTurn: z.number() })),
});

/** A signed paper, by the code that is printed on it: what its record says now. */
export const paperView = z.object({
  job: jobId,
  tag: z.string(),
  signed: z.object({ by: z.string(), role: z.string(), at: z.string() }),
  /** The record says the same as when it was signed; it was signed again since; or its signature was struck. */
  standing: z.enum(['same', 'signed again', 'struck']),
  /** Entries since, and how many of them struck something. */
  since: z.number(),
  corrected: z.number(),
});
export type PaperView = z.output<typeof paperView>;
/** The code of a job's paper, once it is signed. */
export const paperCodeView = z.object({ code: z.string().nullable() });

/** A whole job, for another system: see docs/formats.md. */
export const jobExport = z.strictObject({
  format: z.literal('dusk-wren job'),
  version: z.literal(1),
  exportedAt: z.iso.datetime({ offset: true }),
  job: z.strictObject({ id: jobId, valveId }),
  valve: valveSchema,
  /** Raw entries; the core reads and upgrades them. */
  entries: z
    .array(z.looseObject({ seq: z.int().positive(), kind: z.string() }))
    .min(1)
    .max(20_000),
});
/** A job that came in out of a file, and its photographs. */
export const jobBroughtIn = z.object({
  id: jobId,
  photos: z.object({ taken: z.int(), /** Pinned in the log, and not in the file. */ missing: z.int() }),
});
export type JobExport = z.output<typeof jobExport>;
