import { z } from 'zod';

/** A shop that nobody has named. */
export const UNNAMED = 'Valve shop';

const schema = z.object({
  DATABASE_URL: z.url({ protocol: /^(mariadb|mysql)$/ }),
  SESSION_SECRET: z.string().min(32),
  /** The one before it, good beside it until whoever signed in by it has signed in anew. */
  SESSION_SECRET_BEFORE: z.string().min(32).optional(),
  PORT: z.coerce.number().int().min(0).max(65535).default(4780),
  HOST: z.string().default('127.0.0.1'),
  /** Where people reach this server, for the address in the certificate's QR code. */
  PUBLIC_URL: z.url({ protocol: /^https?$/ }).default('http://127.0.0.1:4780'),
  /** Built web pages; without them only the API is served. */
  WEB_ROOT: z.string().optional(),
  FONT_ROOT: z.string().optional(),
  NODE_ENV: z.enum(['production', 'development', 'test']).default('production'),
  LOG_LEVEL: z.enum(['fatal', 'error', 'warn', 'info', 'debug', 'silent']).default('info'),
  /** How much faster than the clock the simulated instruments run. */
  SIMULATION_RATE: z.coerce.number().min(0.1).max(1000).default(1),
  /** Behind how many trusted proxies the server stands. */
  TRUST_PROXY: z.coerce.number().int().min(0).max(5).default(0),
  /** Where back-ups are written, daily unless said otherwise; without it the server takes none. */
  BACKUP_DIR: z.string().min(1).optional(),
  /** How many back-ups are kept. */
  BACKUP_KEEP: z.coerce.number().int().min(1).max(1000).default(14),
  BACKUP_HOURS: z.coerce
    .number()
    .min(1)
    .max(24 * 31)
    .default(24),
  /** Seals back-ups: without it nobody reads them again, the shop itself neither. */
  BACKUP_PASSPHRASE: z.string().min(12).optional(),
  /** Where rigs leave their recordings; without it none are taken. */
  DROP_FOLDER: z.string().min(1).optional(),
  /** Hosts that may be told of what happens, by commas; without it none is. */
  HOOK_HOSTS: z.string().max(1000).optional(),
  /** Seconds after which a database that says nothing is taken for gone. */
  DATABASE_SILENCE: z.coerce.number().min(1).max(600).default(20),
  /** Whose shop this is, on the sign-in page and on every paper, until a lead names it on Setup. */
  SHOP_NAME: z.string().trim().min(1).max(80).default(UNNAMED),
});

/** This server speaks plain HTTP: where people reach it by https, a proxy stands in front, and cookies depend on it. */
const checked = schema.refine(
  ({ PUBLIC_URL, TRUST_PROXY }) => !PUBLIC_URL.startsWith('https:') || TRUST_PROXY > 0,
  {
    path: ['TRUST_PROXY'],
    message: 'PUBLIC_URL is https, so a proxy stands in front of this server: say how many (1)',
  },
);

export type Config = z.output<typeof checked>;

/** The configuration from the environment, or a line for every wrong value, by its name. */
export function readConfig(
  environment: Record<string, string | undefined>,
): { config: Config } | { wrong: string[] } {
  const read = checked.safeParse(environment);
  if (read.success) return { config: read.data };
  return { wrong: read.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`) };
}
