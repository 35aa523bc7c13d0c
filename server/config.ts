import { z } from 'zod';

const schema = z.object({
  DATABASE_URL: z.url({ protocol: /^(mariadb|mysql)$/ }),
  SESSION_SECRET: z.string().min(32),
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
  /** Sign-in tries a minute from one address. */
  SIGN_IN_TRIES: z.coerce.number().int().min(1).max(10_000).default(10),
  /** Behind how many trusted proxies the server stands. */
  TRUST_PROXY: z.coerce.number().int().min(0).max(5).default(0),
});

export type Config = z.output<typeof schema>;

/** The configuration from the environment, or a line for every wrong value, by its name. */
export function readConfig(
  environment: Record<string, string | undefined>,
): { config: Config } | { wrong: string[] } {
  const read = schema.safeParse(environment);
  if (read.success) return { config: read.data };
  return { wrong: read.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`) };
}
