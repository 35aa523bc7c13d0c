import { pino } from 'pino';
import { readConfig } from './config';
import { serve } from './serve';
import { withoutStatement } from './database/failures';

const read = readConfig(process.env);
if ('wrong' in read) {
  process.stderr.write(
    `The server cannot start; these settings are wrong:\n${read.wrong.map((line) => `  ${line}`).join('\n')}\n`,
  );
  process.exit(1);
}
const { config } = read;
const logger = pino({ level: config.LOG_LEVEL });

try {
  const running = await serve(config, logger);
  logger.info({ url: running.url }, 'listening');
  process.stdout.write(`${JSON.stringify({ ready: running.url })}\n`);
  if (running.firstLead !== undefined)
    process.stdout.write(
      `Nobody is on file yet. Open ${config.PUBLIC_URL}/sign-in and make the first lead with this code, good until then: ${running.firstLead}\n`,
    );
  const stop = (signal: string) => {
    logger.info({ signal }, 'closing');
    running.close().then(
      () => process.exit(0),
      (error: unknown) => {
        logger.error(withoutStatement(error), 'did not close cleanly');
        process.exit(1);
      },
    );
  };
  process.once('SIGTERM', stop);
  process.once('SIGINT', stop);
} catch (error) {
  const inUse = error instanceof Error && 'code' in error && error.code === 'EADDRINUSE';
  process.stderr.write(
    inUse
      ? `Port ${config.PORT} is in use. Set PORT to another one.\n`
      : `The server cannot start: ${String(error)}\n`,
  );
  process.exit(1);
}
