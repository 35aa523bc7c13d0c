import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { parentPort } from 'node:worker_threads';
import { createContext, runInContext } from 'node:vm';

const find = createRequire(import.meta.url).resolve;
const file = (name) => readFileSync(find(`minizinc/${name}`));

/**
 * The solver's worker is written for a browser: here it is given what it looks for there, and nothing else, so that it
 * does not take this for anything but a worker.
 */
const page = {
  console,
  TextDecoder,
  TextEncoder,
  URL,
  WebAssembly,
  Response,
  Headers,
  performance,
  crypto,
  setTimeout,
  clearTimeout,
  WorkerGlobalScope: class {},
  location: { href: 'file:///', pathname: '/' },
  fetch: (name) =>
    Promise.resolve(new Response(file(name), { headers: { 'content-type': 'application/wasm' } })),
  postMessage: (message) => parentPort.postMessage(message),
  addEventListener: (name, heard) => {
    if (name === 'message') parentPort.on('message', (data) => heard({ data }));
  },
};
page.self = page;
runInContext(file('minizinc-worker.js').toString('utf8'), createContext(page));
parentPort.postMessage({ type: 'loaded' });
