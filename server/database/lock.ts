import { randomUUID } from 'node:crypto';
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { transacted } from './transacted';

const BEAT = 500;
/** Milliseconds after which a holder whose beats stand still is taken for dead, by the clock of who looks. */
const SILENCE = 15_000;

/** Where a server keeps the sign that it is at something: needed before any table is. */
export async function makeLeases(sequelize: Sequelize): Promise<void> {
  await sequelize.query(
    'CREATE TABLE IF NOT EXISTS leases (what VARCHAR(80) PRIMARY KEY, node VARCHAR(280) NOT NULL, holder CHAR(36) NULL, beats BIGINT UNSIGNED NOT NULL)',
  );
}

/**
 * Does work that only one server of the shop may do at a time: `undefined` where another one holds the lock for longer than
 * `patience` seconds. A holder that dies lets go of it: at once where it used the same database server, by its silence where
 * it used another node of a cluster, for a node's locks are its own.
 */
export async function onlyOne<T>(
  sequelize: Sequelize,
  what: string,
  patience: number,
  work: () => Promise<T>,
): Promise<{ readonly done: T } | undefined> {
  const until = performance.now() + patience * 1000;
  return sequelize.transaction(async (transaction) => {
    const lock = `${sequelize.getDatabaseName()} ${what}`;
    const node = await locked(sequelize, lock, patience, transaction);
    if (node === undefined) return undefined;
    const lease = { what, node, holder: randomUUID() };
    // A connection that says nothing is taken for dead: it says something while the work goes on elsewhere.
    const beat = setInterval(() => {
      void sequelize.query('SELECT 1', { transaction }).catch(() => undefined);
      void beatOf(sequelize, lease).catch(() => undefined);
    }, BEAT);
    try {
      while (!(await isTaken(sequelize, lease))) {
        if (performance.now() >= until) return undefined;
        await new Promise((done) => setTimeout(done, BEAT));
      }
      return { done: await work() };
    } finally {
      clearInterval(beat);
      await letGo(sequelize, lease);
      await sequelize.query('SELECT RELEASE_LOCK(:lock)', {
        replacements: { lock },
        type: QueryTypes.SELECT,
        transaction,
      });
    }
  });
}

/** The database server on which the lock is held now; nothing where somebody else holds it there. */
async function locked(
  sequelize: Sequelize,
  lock: string,
  patience: number,
  transaction: Transaction,
): Promise<string | undefined> {
  const [row] = await sequelize.query<{ got: number | bigint | null; node: string }>(
    "SELECT GET_LOCK(:lock, :patience) AS got, CONCAT(@@hostname, ':', @@port) AS node",
    { replacements: { lock, patience }, type: QueryTypes.SELECT, transaction },
  );
  return row && Number(row.got ?? 0) === 1 ? row.node : undefined;
}

interface Lease {
  readonly what: string;
  readonly node: string;
  readonly holder: string;
}

interface Held {
  readonly node: string;
  readonly holder: string | null;
  readonly beats: number | bigint;
}

/** Takes the lease where it is free, where its holder used this node (its lock here is gone), or where it is silent. */
const isTaken = (sequelize: Sequelize, lease: Lease): Promise<boolean> =>
  transacted(sequelize, async (transaction) => {
    const [held] = await sequelize.query<Held>(
      'SELECT node, holder, beats FROM leases WHERE what = :what FOR UPDATE',
      { replacements: { what: lease.what }, type: QueryTypes.SELECT, transaction },
    );
    if (held?.holder && held.node !== lease.node && !isSilent(lease.what, held.holder, Number(held.beats)))
      return false;
    await sequelize.query(
      'INSERT INTO leases (what, node, holder, beats) VALUES (:what, :node, :holder, 0) ON DUPLICATE KEY UPDATE node = VALUES(node), holder = VALUES(holder), beats = 0',
      { replacements: { ...lease }, transaction },
    );
    return true;
  });

/** The beats of holders elsewhere, and since when they are as they are: no two machines' clocks are compared. */
const heard = new Map<string, { readonly at: string; readonly since: number }>();

function isSilent(what: string, holder: string, beats: number): boolean {
  const at = `${holder} ${beats}`;
  const known = heard.get(what);
  if (known?.at === at) return performance.now() - known.since > SILENCE;
  heard.set(what, { at, since: performance.now() });
  return false;
}

const beatOf = (sequelize: Sequelize, { what, holder }: Lease) =>
  sequelize.query('UPDATE leases SET beats = beats + 1 WHERE what = :what AND holder = :holder', {
    replacements: { what, holder },
  });

const letGo = (sequelize: Sequelize, { what, holder }: Lease) =>
  sequelize.query('UPDATE leases SET holder = NULL WHERE what = :what AND holder = :holder', {
    replacements: { what, holder },
  });
