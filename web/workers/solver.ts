import { runOn, type Solver, type SolverPort } from '@dusk-wren/core/schedule';
import dataFile from 'minizinc/minizinc.data?url';
import workerFile from 'minizinc/minizinc-worker.js?url';
import wasmFile from 'minizinc/minizinc.wasm?url';

/** Longer than asked by this much, and the worker is ended. */
const GRACE_SECONDS = 5;

const absolute = (path: string) => new URL(path, self.location.href).href;

/** The constraint solver in a worker of the browser, a worker each run; its files come from our own server, once. */
export const browserSolver: Solver = {
  run: (model, seconds, heard) => runOn(portFor(seconds), model, seconds, heard),
};

function portFor(seconds: number): SolverPort {
  const worker = new Worker(workerFile);
  let tell: (message: unknown) => void = () => undefined;
  const limit = setTimeout(() => tell({ type: 'exit', code: null }), (seconds + GRACE_SECONDS) * 1000);
  worker.addEventListener('message', ({ data }) => tell(data));
  worker.addEventListener('error', ({ message }) => tell({ type: 'exit', code: -1, message }));
  worker.postMessage({ wasmURL: absolute(wasmFile), dataURL: absolute(dataFile) });
  return {
    post: (message) => worker.postMessage(message),
    listen: (heard) => (tell = heard),
    close: () => {
      clearTimeout(limit);
      worker.terminate();
    },
  };
}
