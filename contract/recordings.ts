import { z } from 'zod';

/** A recording that a rig left as a file. */
export const recordingView = z.object({
  id: z.uuid(),
  file: z.string(),
  rows: z.number(),
  at: z.iso.datetime(),
  /** The job that it is of, and its tag where that is asked for. */
  job: z.uuid().nullable(),
  tag: z.string().nullable(),
  /** Why it is of none. */
  why: z.string().nullable(),
});
export type RecordingView = z.output<typeof recordingView>;

export const recordingsView = z.object({
  recordings: z.array(recordingView),
  /** Whether this server looks into a folder at all. */
  watched: z.boolean(),
});
