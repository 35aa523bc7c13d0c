import { createServer } from 'node:net';
import { Plain } from './say.mjs';

/** A port of this machine that nobody has now. */
export function freePort() {
  return new Promise((done, failed) => {
    const probe = createServer();
    probe.once('error', failed);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => done(port));
    });
  });
}

export function portIsFree(port) {
  return new Promise((done) => {
    const probe = createServer();
    probe.once('error', () => done(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => done(true)));
  });
}

/** The port at which people are to reach what `command` starts: PORT, or 4780. */
export async function publicPort(command) {
  const port = Number(process.env.PORT ?? 4780);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Plain(`PORT is ${process.env.PORT}; it must be a number from 1 to 65535.`);
  if (!(await portIsFree(port)))
    throw new Plain(`Port ${port} is in use. Stop what uses it, or choose another: PORT=4781 ${command}`);
  return port;
}
