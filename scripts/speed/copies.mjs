/** Jobs of which entries are written in one statement. */
const JOBS_AT_ONCE = 1000;

/**
 * The demo's jobs again and again, each with a tag and a due date of its own, on the copies of its valve where there are any;
 * so many of them are as open as they were.
 */
export async function manyJobs(url, count, open = count / 20) {
  const { createConnection } = await import('mariadb');
  const connection = await createConnection(url);
  try {
    await connection.query(
      `INSERT INTO jobs (id, valve_id, version, state, person_id, tag, serial, location, due, due_key, opened_at, summary)
     SELECT UUID(), COALESCE(v.id, j.valve_id), j.version, IF(j.seq MOD (${count} DIV ${open}) = 0, j.state, 'released'), j.person_id,
            CONCAT(j.tag, '-', j.seq), j.serial, j.location,
            j.due, DATE_FORMAT('2016-01-01' + INTERVAL j.seq MOD 4000 DAY, '%Y-%m-%d'), j.opened_at, j.summary
     FROM (SELECT * FROM jobs CROSS JOIN seq_1_to_${count} LIMIT ${count}) AS j
     LEFT JOIN valves AS v ON v.tag = CONCAT(j.tag, '-', j.seq)`,
    );
    await connection.query('ANALYZE TABLE jobs');
  } finally {
    await connection.end();
  }
}

/** The demo's valves again and again, each under a tag of its own and with the words that it is found by. */
export async function manyValves(url, count) {
  const { createConnection } = await import('mariadb');
  const connection = await createConnection(url);
  try {
    await connection.query(
      `CREATE TABLE bench_copies (id CHAR(36) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin PRIMARY KEY, old CHAR(36) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin, seq INT)
       SELECT UUID() AS id, id AS old, seq FROM valves CROSS JOIN seq_1_to_${count} ORDER BY seq LIMIT ${count}`,
    );
    await connection.query(
      `INSERT INTO valves (id, tag, serial, tag_key, serial_key, customer, construction, body, standing)
       SELECT c.id, CONCAT(v.tag, '-', c.seq), v.serial, CONCAT(v.tag_key, c.seq), v.serial_key, v.customer, v.construction,
              JSON_SET(v.body, '$.tag', CONCAT(v.tag, '-', c.seq)), v.standing
       FROM bench_copies AS c JOIN valves AS v ON v.id = c.old`,
    );
    await connection.query(
      `INSERT IGNORE INTO valve_words (word, tag, valve_id)
       SELECT w.word, CONCAT(w.tag, '-', c.seq), c.id FROM bench_copies AS c JOIN valve_words AS w ON w.valve_id = c.old
       UNION ALL SELECT c.seq, CONCAT(v.tag, '-', c.seq), c.id FROM bench_copies AS c JOIN valves AS v ON v.id = c.old
       UNION ALL SELECT LOWER(CONCAT(v.tag_key, c.seq)), CONCAT(v.tag, '-', c.seq), c.id
         FROM bench_copies AS c JOIN valves AS v ON v.id = c.old`,
    );
    await connection.query('DROP TABLE bench_copies');
    await connection.query('ANALYZE TABLE valves, valve_words');
  } finally {
    await connection.end();
  }
}

/** Every signed job summed up as one of the demo's is: a server that begins has nothing left to sum up. */
export async function livesOfJobs(url) {
  const { createConnection } = await import('mariadb');
  const connection = await createConnection(url);
  try {
    await connection.query(
      `INSERT INTO job_lives (job_id, valve_id, customer, construction, signed, minutes, parts, found, cause, came_back, body)
       SELECT j.id, j.valve_id, l.customer, l.construction, l.signed, l.minutes, l.parts, l.found, l.cause, l.came_back, l.body
       FROM jobs AS j JOIN (SELECT ROW_NUMBER() OVER (ORDER BY job_id) AS n, x.* FROM job_lives AS x) AS l
         ON l.n = 1 + CRC32(j.id) MOD (SELECT COUNT(*) FROM job_lives)
       WHERE j.state <> 'open' AND NOT EXISTS (SELECT 1 FROM job_lives AS own WHERE own.job_id = j.id)`,
    );
  } finally {
    await connection.end();
  }
}

/** Entries of jobs that have none, the demo's longest log again and again: so many each. */
export async function manyEntries(url, each) {
  const { createConnection } = await import('mariadb');
  const connection = await createConnection(url);
  try {
    const columns = (
      await connection.query("SHOW COLUMNS FROM job_events WHERE Field NOT IN ('id', 'job_id', 'seq')")
    ).map(({ Field }) => `\`${Field}\``);
    await connection.query(
      `CREATE TABLE bench_log SELECT * FROM job_events WHERE job_id =
         (SELECT job_id FROM job_events GROUP BY job_id ORDER BY COUNT(*) DESC LIMIT 1)`,
    );
    const [{ rows }] = await connection.query('SELECT COUNT(*) AS `rows` FROM bench_log');
    await connection.query('SET SESSION unique_checks = 0, foreign_key_checks = 0');
    const bare = await connection.query(
      'SELECT id FROM jobs WHERE NOT EXISTS (SELECT 1 FROM job_events AS e WHERE e.job_id = jobs.id) ORDER BY id',
    );
    for (let from = 0; from < bare.length; from += JOBS_AT_ONCE)
      await connection.query(
        `INSERT INTO job_events (job_id, seq, ${columns.join(', ')})
         SELECT j.id, s.seq, ${columns.map((column) => `l.${column}`).join(', ')}
         FROM jobs AS j CROSS JOIN seq_1_to_${each} AS s JOIN bench_log AS l ON l.seq = 1 + s.seq MOD ?
         WHERE j.id IN (?) ORDER BY j.id, s.seq`,
        [Number(rows), bare.slice(from, from + JOBS_AT_ONCE).map(({ id }) => id)],
      );
    await connection.query('DROP TABLE bench_log');
    await connection.query('ANALYZE TABLE job_events');
  } finally {
    await connection.end();
  }
}
