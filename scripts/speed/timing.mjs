const WARM_UP = 150;

export const p95 = (times) => [...times].sort((a, b) => a - b)[Math.floor(times.length * 0.95)];

/** Times of a piece of work, after a few that do not count: code and caches are warm in a running shop. */
export async function timed(rounds, work, warmUp = WARM_UP) {
  const times = [];
  for (let i = 0; i < warmUp; i++) await work(i);
  for (let i = warmUp; i < warmUp + rounds; i++) {
    const began = performance.now();
    await work(i);
    times.push(performance.now() - began);
  }
  return times;
}

/** How long the database takes to commit one row, with nothing around it. */
export async function bareCommits(url, rounds) {
  const { createConnection } = await import('mariadb');
  const connection = await createConnection(url);
  await connection.query('CREATE TABLE IF NOT EXISTS bench_bare (id INT PRIMARY KEY, body TEXT)');
  const times = await timed(rounds, async (i) => {
    await connection.beginTransaction();
    await connection.query('INSERT INTO bench_bare VALUES (?, ?)', [i, 'x'.repeat(200)]);
    await connection.commit();
  });
  await connection.query('DROP TABLE bench_bare');
  await connection.end();
  return times;
}
