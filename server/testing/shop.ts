import { confirmationView, sessionView, type SessionView } from '@dusk-wren/contract';
import { conditionOf } from '@dusk-wren/core/simulation';
import { defaultValve } from '@dusk-wren/core/valve';
import { createConnection } from 'mariadb';
import { randomUUID } from 'node:crypto';
import { pino } from 'pino';
import type { Sequelize } from 'sequelize';
import request, { type Agent, type Response } from 'supertest';
import { createApp } from '../app';
import { readConfig, type Config } from '../config';
import { hashPin } from '../sign-in/pin';
import { connect } from '../database/connection';
import { migrate } from '../database/migrate';
import { defineModels, InstrumentRow, PersonRow } from '../database/models';
import { fileValve } from '../database/valves';

export const PIN = '4711';
const TODAY = Date.now();
const day = (offset: number) => new Date(TODAY + offset * 86_400_000).toISOString().slice(0, 10);

/** A shop with a database of its own: two technicians, an inspector, a lead, two dials, one valve on file. */
export interface Shop {
  readonly sequelize: Sequelize;
  readonly config: Config;
  readonly databaseUrl: string;
  readonly people: Readonly<Record<'ada' | 'bo' | 'ivo' | 'lea', string>>;
  readonly dial: string;
  readonly lapsed: string;
  readonly valve: string;
  readonly app: ReturnType<typeof createApp>;
  readonly close: () => Promise<void>;
}

/** Models belong to one database at a time: the shop opened last has them, and closing it gives them back. */
const open: Sequelize[] = [];

export async function openShop(
  overrides: Partial<Record<string, string>> = {},
  admin: string | undefined = process.env['TEST_DATABASE_URL'],
  now: () => Date = () => new Date(),
): Promise<Shop> {
  if (admin === undefined)
    throw new Error(
      'TEST_DATABASE_URL is not set: run `npm test -- server`, which starts a database of its own',
    );
  const name = `dw_test_${randomUUID().replaceAll('-', '').slice(0, 12)}`;
  const connection = await createConnection(admin);
  // A test may kill the database under it.
  connection.on('error', () => undefined);
  await connection.query(`CREATE DATABASE ${name}`);
  const databaseUrl = admin.replace(/\/[^/]*$/, `/${name}`);
  const read = readConfig({
    DATABASE_URL: databaseUrl,
    SESSION_SECRET: 'a secret for tests alone, 32 or more',
    NODE_ENV: 'test',
    LOG_LEVEL: 'silent',
    SIMULATION_RATE: '200',
    SHOP_NAME: 'Test Street valve shop',
    ...overrides,
  });
  if ('wrong' in read) throw new Error(read.wrong.join('; '));
  const sequelize = connect(databaseUrl, { silence: read.config.DATABASE_SILENCE * 1000 });
  open.push(sequelize);
  const app = createApp(sequelize, read.config, pino({ level: 'silent' }), now);
  await migrate(sequelize, () => undefined);
  const pinHash = await hashPin(PIN);
  const people = { ada: randomUUID(), bo: randomUUID(), ivo: randomUUID(), lea: randomUUID() };
  const roles = { ada: 'technician', bo: 'technician', ivo: 'inspector', lea: 'lead' } as const;
  await PersonRow.bulkCreate(
    (['ada', 'bo', 'ivo', 'lea'] as const).map((key) => ({
      id: people[key],
      name: key,
      role: roles[key],
      pinHash,
    })),
  );
  const [dial, lapsed] = [randomUUID(), randomUUID()];
  await InstrumentRow.bulkCreate([
    { id: dial, name: 'Dial 1', kind: 'dial indicator', driver: 'simulated dial', calibrationDue: day(30) },
    { id: lapsed, name: 'Dial 2', kind: 'dial indicator', driver: 'simulated dial', calibrationDue: day(-3) },
  ]);
  const filed = await sequelize.transaction((transaction) =>
    fileValve({ ...defaultValve(), tag: 'T-1' }, transaction, { simulated: conditionOf('T-1') }),
  );
  return {
    sequelize,
    config: read.config,
    databaseUrl,
    people,
    dial,
    lapsed,
    valve: filed.id,
    app,
    close: async () => {
      await app.close();
      open.splice(open.indexOf(sequelize), 1);
      const before = open.at(-1);
      if (before) defineModels(before);
      await sequelize.close();
      const again = connection.isValid() ? connection : await createConnection(admin);
      await again.query(`DROP DATABASE ${name}`);
      await again.end();
    },
  };
}

/** A browser's stand-in: keeps its cookie and sends its token. */
export class Screen {
  private constructor(
    readonly agent: Agent,
    private token: string,
    /** The session's cookie, for a connection of one's own. */
    public cookie: string,
    /** Who is at it, as every write says. */
    private person = '',
  ) {}

  static async open(shop: Shop, who?: keyof Shop['people']): Promise<Screen> {
    const agent = request.agent(shop.app.express);
    const begun = await agent.get('/api/session');
    const screen = new Screen(agent, session(begun).csrf, cookieOf(begun));
    if (who) {
      const answer = await screen.post('/api/session', { personId: shop.people[who], pin: PIN });
      screen.signedIn(answer);
    }
    return screen;
  }

  /** From here on this screen is that person's, as its answer says. */
  signedIn(answer: Response): void {
    const { csrf, person } = session(answer);
    this.token = csrf;
    this.person = person?.id ?? '';
    this.cookie = cookieOf(answer) || this.cookie;
  }

  get(path: string): Promise<Response> {
    return Promise.resolve(this.agent.get(path));
  }

  /** What a page sends along with a write. */
  headers(): { 'x-csrf-token': string; 'x-person': string } {
    return { 'x-csrf-token': this.token, 'x-person': this.person };
  }

  post(path: string, body: unknown): Promise<Response> {
    return Promise.resolve(
      this.agent
        .post(path)
        .set(this.headers())
        .set('content-type', 'application/json')
        .send(JSON.stringify(body)),
    );
  }

  /** Sends bytes as they are. */
  put(path: string, bytes: Buffer, type: string): Promise<Response> {
    return Promise.resolve(this.agent.put(path).set(this.headers()).set('content-type', type).send(bytes));
  }

  /** Opens a job on the shop's valve; answers its id. */
  async openJob(shop: Shop, commandId = randomUUID()): Promise<string> {
    const answer = await this.post('/api/jobs', {
      commandId,
      valve: { id: shop.valve },
      place: 'bare',
      reported: 'test',
    });
    if (answer.status !== 201) throw new Error(JSON.stringify(answer.body));
    return String(answer.body.id);
  }

  command(job: string, baseVersion: number, command: object, commandId = randomUUID()): Promise<Response> {
    return this.post(`/api/jobs/${job}/commands`, { baseVersion, commandId, command });
  }

  /** A signature: the PIN first, then the command with what came back for it; of somebody else at this screen, where told. */
  async sign(
    job: string,
    baseVersion: number,
    command: object,
    pin = PIN,
    signer?: string,
  ): Promise<Response> {
    const commandId = randomUUID();
    const by = signer === undefined ? {} : { personId: signer };
    const answer = await this.post('/api/confirmations', { pin, commandId, ...by });
    if (answer.status !== 200) return answer;
    const { confirmation } = confirmationView.parse(answer.body);
    return this.post(`/api/jobs/${job}/commands`, {
      baseVersion,
      commandId,
      command,
      confirmation,
      ...(signer === undefined ? {} : { signedBy: signer }),
    });
  }
}

/** Reads an answer as the bytes that came. */
export function binary(response: Response, done: (error: Error | null, body: Buffer) => void): void {
  const chunks: Buffer[] = [];
  response.on('data', (chunk: Uint8Array) => chunks.push(Buffer.from(chunk)));
  response.on('end', () => done(null, Buffer.concat(chunks)));
}

/** All that the answer sets, as one header. */
const cookieOf = (answer: Response): string =>
  [answer.headers['set-cookie'] ?? []]
    .flat()
    .map((cookie: string) => cookie.split(';')[0])
    .join('; ');

function session(answer: Response): SessionView {
  return sessionView.parse(answer.body);
}

export const note = (text: string) => ({ kind: 'add-note', body: { text } });
export const done = (step: string, note?: string) => ({
  kind: 'do-step',
  body: { step, ...(note ? { note } : {}) },
});

const mark = (step: string) => ({ kind: 'set-mark', body: { step, part: 'bonnet', clock: "2 o'clock" } });

const counted = (step: string) => ({
  kind: 'take-measurement',
  body: { step, what: 'packing rings', value: '6 pieces', readBy: 'hand' },
});

export const laidOut = (step: string) => ({
  kind: 'match-spares',
  body: { step, laid: [{ what: 'kit' }] },
});

const TO_RUNOUT = [
  'receive.plate',
  'receive.spares',
  'diagnose.report',
  'isolate.decontaminated',
  'strip.match-mark',
  'strip.wheel-nut',
  'strip.slack',
  'strip.gland-nuts',
  'strip.bonnet-nuts',
  'strip.lift',
  'strip.gasket',
  'strip.wheel',
  'strip.stem',
  'strip.gland',
  'strip.packing',
  'inspect.clean',
];

/** Strips a fresh job down to the runout of its stem; answers the version it then stands at. */
export async function stripToRunout(screen: Screen, job: string): Promise<number> {
  let version = 2;
  for (const step of TO_RUNOUT) {
    const command =
      step === 'strip.match-mark'
        ? mark(step)
        : step === 'receive.spares'
          ? laidOut(step)
          : step === 'strip.packing'
            ? counted(step)
            : done(step, 'No. 71');
    const answer = await screen.command(job, version++, command);
    if (answer.status !== 200) throw new Error(`${step}: ${JSON.stringify(answer.body)}`);
  }
  return version;
}
