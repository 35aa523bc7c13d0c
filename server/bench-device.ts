import { BenchDevice } from './stand-ins/bench-device';
import { serveRegisters } from './stand-ins/modbus-server';

/**
 * The stand-in for a bench on the network, as a process of its own: `BENCH_DEVICE_PORT` is where it is read,
 * `BENCH_DEVICE_RATE` how much faster than ours its clock runs.
 */
const asked = process.env['BENCH_DEVICE_PORT'];
const rate = Number(process.env['BENCH_DEVICE_RATE'] ?? 1);
const device = new BenchDevice(() => (performance.now() / 1000) * rate);
const { port, close } = await serveRegisters(device.vector, asked === undefined ? undefined : Number(asked));
process.stdout.write(`${JSON.stringify({ ready: port })}\n`);
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.once(signal, () => void close().then(() => process.exit(0)));
