import { ServerTCP, type IServiceVector } from 'modbus-serial';
import { createServer, type AddressInfo } from 'node:net';

async function freePort(): Promise<number> {
  const probe = createServer();
  await new Promise<void>((ready) => probe.listen(0, '127.0.0.1', ready));
  const { port } = probe.address() as AddressInfo;
  await new Promise((closed) => probe.close(closed));
  return port;
}

/** Registers that are served by Modbus TCP on loopback, at a port of their own where none is asked for. */
export async function serveRegisters(
  vector: IServiceVector,
  asked?: number,
): Promise<{ readonly port: number; readonly close: () => Promise<void> }> {
  const port = asked ?? (await freePort());
  const server = new ServerTCP(vector, { host: '127.0.0.1', port, unitID: 1 });
  // A master that hangs up in the middle of a question is nothing to a device.
  server.on('socketError', () => undefined);
  await new Promise<void>((ready, failed) => {
    server.on('initialized', () => ready());
    server.on('serverError', (error) => failed(error ?? new Error('the port could not be taken')));
  });
  return { port, close: () => new Promise((closed) => server.close(() => closed())) };
}
