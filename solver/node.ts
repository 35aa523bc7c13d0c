import { runOn, type Solver, type SolverPort } from '@dusk-wren/core/schedule';
import { Worker } from 'node:worker_threads';

/** Longer than asked by this much, and the worker is ended. */
const GRACE_SECONDS = 5;

/** The constraint solver in a thread of Node: the same WebAssembly that a browser runs. A thread each run. */
export const nodeSolver: Solver = {
  run: (model, seconds, heard) => runOn(portFor(seconds), model, seconds, heard),
};

function portFor(seconds: number): SolverPort {
  const worker = new Worker(new URL('./node-worker.mjs', import.meta.url), { stdout: true, stderr: true });
  let tell: (message: unknown) => void = () => undefined;
  const limit = setTimeout(() => tell({ type: 'exit', code: null }), (seconds + GRACE_SECONDS) * 1000);
  worker.on('message', (message: unknown) => tell(message));
  worker.on('error', (error) => tell({ type: 'exit', code: -1, message: error.message }));
  worker.postMessage({ wasmURL: 'minizinc.wasm', dataURL: 'minizinc.data' });
  return {
    post: (message) => worker.postMessage(message),
    listen: (heard) => (tell = heard),
    close: () => {
      clearTimeout(limit);
      void worker.terminate();
    },
  };
}
