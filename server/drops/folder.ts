import { watch } from 'chokidar';
import { stat, readFile } from 'node:fs/promises';
import { basename } from 'node:path';
import type { Logger } from 'pino';
import { withoutStatement } from '../database/failures';
import { landRecording, placeWaiting, tooLarge } from '../database/recordings';

/** A rig that writes ten times a second for half an hour, ten columns wide, stays below it. */
const MOST_MEGABYTES = 8;
const MOST = MOST_MEGABYTES * 1024 * 1024;
const LOOKS_EVERY = 20_000;

/** How a folder is looked at. */
export interface Pace {
  /** A file that has not grown for so long is whole. */
  readonly whole: number;
  readonly between: number;
}
/** Folders on another machine tell of nothing: they are looked at. */
const USUAL: Pace = { whole: 1500, between: 500 };

const isRecording = (path: string): boolean => /\.(csv|txt)$/i.test(path) && !basename(path).startsWith('.');

async function land(path: string): Promise<string | undefined> {
  const file = basename(path);
  if ((await stat(path)).size > MOST) {
    await tooLarge(file, `${MOST_MEGABYTES} MB`, new Date());
    return undefined;
  }
  return (await landRecording({ file, body: await readFile(path) }, new Date())) ? file : undefined;
}

/**
 * Takes whatever a rig leaves in a folder as a recording of the job of its tag. The files stay where they are: the folder
 * may be the rig’s own. Answers with how to stop.
 */
export function watchFolder(folder: string, logger: Logger, pace: Pace = USUAL): () => Promise<void> {
  const watcher = watch(folder, {
    ...{ depth: 2, usePolling: true, interval: pace.between, binaryInterval: pace.between },
    followSymlinks: false,
    awaitWriteFinish: { stabilityThreshold: pace.whole, pollInterval: pace.between },
    ignored: (path, stats) => stats?.isFile() === true && !isRecording(path),
  });
  /** What could not be kept because the database was away is tried again. */
  const left = new Set<string>();
  const take = async (path: string) => {
    try {
      const landed = await land(path);
      left.delete(path);
      if (landed !== undefined) logger.info({ file: landed }, 'a recording has landed');
    } catch (error) {
      left.add(path);
      logger.warn(withoutStatement(error), 'a recording was not kept yet');
    }
  };
  let last = Promise.resolve();
  const inTurn = (work: () => Promise<void>) => (last = last.then(work));
  watcher.on('add', (path) => void inTurn(() => take(path)));
  watcher.on('change', (path) => void inTurn(() => take(path)));
  watcher.on('unlink', (path) => left.delete(path));
  watcher.on('error', (error) =>
    logger.warn(withoutStatement(error), 'cannot look into the folder of recordings'),
  );
  const again = async () => {
    for (const path of [...left]) await take(path);
    await placeWaiting().catch((error: unknown) => logger.warn(withoutStatement(error), 'recordings wait'));
  };
  const timer = setInterval(() => void inTurn(again), LOOKS_EVERY).unref();
  return async () => {
    clearInterval(timer);
    await watcher.close();
    await last;
  };
}
