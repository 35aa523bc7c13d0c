import { existsSync, readFileSync } from 'node:fs';

const WARM_UP = 150;

/** Answers, when asked, with the share of this machine's time that others took since: as a hypervisor says it, nothing where none does. */
export function timeTaken() {
  const look = () => {
    if (!existsSync('/proc/stat')) return { taken: 0, all: 1 };
    const [, ...times] = readFileSync('/proc/stat', 'utf8').split('\n')[0].split(/\s+/).map(Number);
    return { taken: times[7] ?? 0, all: times.slice(0, 8).reduce((a, b) => a + b) };
  };
  const before = look();
  return () => {
    const now = look();
    return (now.taken - before.taken) / Math.max(1, now.all - before.all);
  };
}

const at = (share) => (times) => times.toSorted((a, b) => a - b)[Math.floor(times.length * share)];
export const p95 = at(0.95);
export const median = at(0.5);

/**
 * Times of a piece of work, after a few that do not count: code and caches are warm in a running shop. So many milliseconds
 * `pause` between one and the next.
 */
export async function timed(rounds, work, warmUp = WARM_UP, pause = 0) {
  const times = [];
  for (let i = 0; i < warmUp; i++) await work(i);
  for (let i = warmUp; i < warmUp + rounds; i++) {
    const began = performance.now();
    await work(i);
    times.push(performance.now() - began);
    if (pause > 0) await new Promise((done) => setTimeout(done, pause));
  }
  return times;
}

/** Times of one piece of work and of another, in turns: what the machine does beside falls on both alike. */
export async function timedInTurns(rounds, works, warmUp) {
  const times = works.map(() => []);
  for (let i = -warmUp; i < rounds; i++)
    for (const [which, work] of works.entries()) {
      const [took] = await timed(1, work, 0);
      if (i >= 0) times[which].push(took);
    }
  return times;
}

/** How long the database takes to commit one row, with nothing around it; so many milliseconds between one and the next. */
export async function bareCommits(url, rounds, pause = 0) {
  const { createConnection } = await import('mariadb');
  const connection = await createConnection(url);
  await connection.query('CREATE TABLE IF NOT EXISTS bench_bare (id INT PRIMARY KEY, body TEXT)');
  const commit = async (i) => {
    await connection.beginTransaction();
    await connection.query('INSERT INTO bench_bare VALUES (?, ?)', [i, 'x'.repeat(200)]);
    await connection.commit();
  };
  const times = await timed(rounds, commit, WARM_UP, pause);
  await connection.query('DROP TABLE bench_bare');
  await connection.end();
  return times;
}
