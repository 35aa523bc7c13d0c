import { spawn } from 'node:child_process';
import { Plain, root } from './say.mjs';

/** Runs a command to its end, showing what it prints; refuses in words when it fails. */
export function run(command, args, { env = {}, cwd = root, quiet = false, failure } = {}) {
  return new Promise((done, failed) => {
    const child = spawn(command, args, {
      cwd,
      env: { ...process.env, ...env },
      stdio: quiet ? ['ignore', 'pipe', 'pipe'] : ['ignore', 'inherit', 'inherit'],
    });
    let tail = '';
    for (const stream of [child.stdout, child.stderr]) {
      stream?.on('data', (chunk) => {
        tail = (tail + chunk).slice(-4000);
      });
    }
    child.once('error', (error) => failed(new Plain(`${command} could not be started: ${error.message}`)));
    child.once('exit', (code, signal) => {
      if (code === 0) done();
      else
        failed(
          new Plain(
            `${failure ?? `${command} ${args.join(' ')} failed`} (${signal ?? `exit ${code}`}).\n${tail}`.trim(),
          ),
        );
    });
  });
}

/** Starts a long-running child; `stop` ends that one and waits until it is gone. */
export function start(command, args, { env = {}, cwd = root, onLine = () => {}, stdio } = {}) {
  const child = spawn(command, args, {
    cwd,
    env: { ...process.env, ...env },
    stdio: stdio ?? ['ignore', 'pipe', 'pipe'],
    detached: false,
  });
  const ended = new Promise((done) => {
    child.once('exit', (code, signal) => done({ code, signal }));
    child.once('error', (error) => done({ code: 127, signal: null, error }));
  });
  for (const stream of [child.stdout, child.stderr]) {
    let rest = '';
    stream?.setEncoding('utf8');
    stream?.on('data', (chunk) => {
      const lines = (rest + chunk).split('\n');
      rest = lines.pop() ?? '';
      lines.forEach((line) => onLine(line));
    });
  }
  const stop = async (signal = 'SIGTERM', patience = 20_000) => {
    if (child.exitCode !== null || child.signalCode !== null) return;
    child.kill(signal);
    const timer = setTimeout(() => child.kill('SIGKILL'), patience);
    await ended;
    clearTimeout(timer);
  };
  return { child, ended, stop };
}
