import pLimit from 'p-limit';
import ModbusRTU from 'modbus-serial';
import { encode, registersOf, type ByteOrder, type RegisterType } from './registers';

/** Where a device is: its address, its port, and its unit behind that. */
export interface DeviceAddress {
  readonly host: string;
  readonly port: number;
  readonly unit: number;
}

/** A number on a device. */
export interface Place {
  readonly table: 'holding' | 'input';
  /** As it goes over the wire, from 0. */
  readonly register: number;
  readonly type: RegisterType;
}

/** The device answered that it has no such register, or does not do that (exceptions 1 to 3 of the protocol). */
export class Refused extends Error {}
/** No answer. */
export class Lost extends Error {}

const PATIENCE_MILLISECONDS = 1500;
const REFUSALS: readonly unknown[] = [1, 2, 3];

/**
 * One connection to a device by Modbus TCP, for whoever reads it: many devices take one connection and one question at a
 * time. It is made when something is asked, and made again after it broke.
 */
class Line {
  private client: ModbusRTU | undefined;
  private readonly inTurn = pLimit(1);
  users = 0;

  constructor(
    private readonly host: string,
    private readonly port: number,
  ) {}

  ask<T>(unit: number, question: (client: ModbusRTU) => Promise<T>): Promise<T> {
    return this.inTurn(async () => {
      try {
        const client = await this.connected();
        client.setID(unit);
        return await question(client);
      } catch (error) {
        if (
          typeof error === 'object' &&
          error !== null &&
          'modbusCode' in error &&
          REFUSALS.includes(error.modbusCode)
        )
          throw new Refused('no such register', { cause: error });
        this.drop();
        throw new Lost('no answer', { cause: error });
      }
    });
  }

  private async connected(): Promise<ModbusRTU> {
    if (this.client?.isOpen) return this.client;
    this.drop();
    const client = new ModbusRTU();
    client.setTimeout(PATIENCE_MILLISECONDS);
    // A connection that breaks between two questions is noticed at the next one.
    client.on('error', () => undefined);
    this.client = client;
    await client.connectTCP(this.host, { port: this.port, timeout: PATIENCE_MILLISECONDS });
    return client;
  }

  drop(): void {
    this.client?.destroy(() => undefined);
    this.client = undefined;
  }
}

const lines = new Map<string, Line>();

/** A device that is read: what is asked of it goes over the one line to its address. */
export class Device {
  private readonly line: Line;
  private readonly key: string;

  constructor(private readonly address: DeviceAddress) {
    const { host, port } = address;
    this.key = `${host}:${port}`;
    this.line = lines.get(this.key) ?? new Line(host, port);
    lines.set(this.key, this.line);
    this.line.users += 1;
  }

  get at(): string {
    return this.key;
  }

  /** The bytes at a place. Throws `Refused` or `Lost`. */
  read({ table, register, type }: Place): Promise<Buffer> {
    const length = registersOf(type);
    return this.line.ask(this.address.unit, async (client) => {
      const { buffer } =
        table === 'holding'
          ? await client.readHoldingRegisters(register, length)
          : await client.readInputRegisters(register, length);
      return buffer;
    });
  }

  /** Puts a number into holding registers. Throws `Refused` or `Lost`. */
  async write({ register, type }: Place, value: number, order: ByteOrder): Promise<void> {
    const bytes = encode(value, type, order);
    await this.line.ask(this.address.unit, (client) => client.writeRegisters(register, bytes));
  }

  /** Whoever read it has done with it; the line is shut behind the last one. */
  close(): void {
    this.line.users -= 1;
    if (this.line.users > 0) return;
    this.line.drop();
    if (lines.get(this.key) === this.line) lines.delete(this.key);
  }
}
