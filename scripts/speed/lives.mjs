/** What years leave behind: signed jobs of many valves, one of them often here, and open jobs that wait for parts. */
export const MANY_LIVES = 100_000;
export const OFTEN_HERE = 40;
export const WAITING_JOBS = 2_000;

/** Fills a database that has the demo, and copies of its valves, with all of that; answers with the valve that was often here. */
export async function manyLives(url, count) {
  const { createConnection } = await import('mariadb');
  const connection = await createConnection(url);
  const uuid = 'CHAR(36) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin';
  try {
    await connection.query(
      `INSERT INTO job_lives (job_id, valve_id, customer, construction, signed, minutes, parts, found, cause, came_back, body)
       SELECT UUID(), v.id, l.customer, l.construction, '2018-06-01' + INTERVAL s.seq MOD 3000 DAY, l.minutes + s.seq MOD 90,
              l.parts, l.found, l.cause, s.seq MOD 40 = 0, l.body
       FROM seq_1_to_${count} AS s
       JOIN (SELECT ROW_NUMBER() OVER (ORDER BY job_id) AS n, x.* FROM job_lives AS x) AS l
         ON l.n = 1 + s.seq MOD (SELECT COUNT(*) FROM job_lives)
       JOIN (SELECT ROW_NUMBER() OVER (ORDER BY tag) AS n, id FROM valves) AS v ON v.n = 1 + s.seq MOD 20000`,
    );
    await connection.query(
      `INSERT INTO part_lives (job_id, part, valve_id, construction, service, fitted_on, ended_on, fate, after_unknown)
       SELECT UUID(), p.part, p.valve_id, p.construction, p.service, p.fitted_on, p.ended_on, p.fate, p.after_unknown
       FROM part_lives AS p CROSS JOIN seq_1_to_1000 LIMIT ${count}`,
    );
    await connection.query(
      `UPDATE valves SET due_on = '2026-01-01' + INTERVAL CRC32(id) MOD 2500 DAY,
         due = JSON_ARRAY(JSON_OBJECT('at', '2027-01-01', 'kind', 'ladder', 'words', '24 months: good')) WHERE due_on IS NULL`,
    );
    const often = await oftenHere(connection, uuid);
    await waiting(connection);
    await connection.query('ANALYZE TABLE job_lives, part_lives, valves, order_lines, jobs');
    return often;
  } finally {
    await connection.end();
  }
}

/** One valve with forty signed jobs: those of the demo's most often seen one, again and again. */
async function oftenHere(connection, uuid) {
  const [{ valve_id: old }] = await connection.query(
    `SELECT l.valve_id FROM job_lives AS l JOIN jobs AS j ON j.id = l.job_id GROUP BY l.valve_id ORDER BY COUNT(*) DESC LIMIT 1`,
  );
  const [{ id }] = await connection.query('SELECT UUID() AS id');
  await connection.query(
    `INSERT INTO valves (id, tag, serial, tag_key, serial_key, customer, construction, body, standing)
     SELECT ?, 'OFTEN-1', serial, 'OFTEN1', serial_key, customer, construction, body, standing FROM valves WHERE id = ?`,
    [id, old],
  );
  await connection.query(
    `CREATE TEMPORARY TABLE often_here (id ${uuid}, old ${uuid}, seq INT)
     SELECT UUID() AS id, l.job_id AS old, s.seq FROM seq_1_to_${OFTEN_HERE} AS s
     JOIN (SELECT ROW_NUMBER() OVER (ORDER BY l.job_id) AS n, l.job_id FROM job_lives AS l JOIN jobs AS j ON j.id = l.job_id
           WHERE l.valve_id = ?) AS l ON l.n = 1 + s.seq MOD 3`,
    [old],
  );
  await connection.query(
    `INSERT INTO jobs (id, valve_id, version, state, tag, location, due_key, opened_at, summary)
     SELECT o.id, ?, j.version, j.state, 'OFTEN-1', j.location, j.due_key, j.opened_at - INTERVAL o.seq * 70 DAY, j.summary
     FROM often_here AS o JOIN jobs AS j ON j.id = o.old`,
    [id],
  );
  const columns = (
    await connection.query("SHOW COLUMNS FROM job_events WHERE Field NOT IN ('id', 'job_id')")
  ).map(({ Field }) => `\`${Field}\``);
  await connection.query(
    `INSERT INTO job_events (job_id, ${columns.join(', ')})
     SELECT o.id, ${columns.map((column) => `e.${column}`).join(', ')}
     FROM often_here AS o JOIN job_events AS e ON e.job_id = o.old WHERE e.seq = 1`,
  );
  await connection.query(
    `INSERT INTO job_lives (job_id, valve_id, customer, construction, signed, minutes, parts, found, cause, came_back, body)
     SELECT o.id, ?, l.customer, l.construction, '2026-06-01' - INTERVAL o.seq * 70 DAY, l.minutes, l.parts, l.found, l.cause,
            l.came_back, JSON_SET(l.body, '$.signed', DATE_FORMAT('2026-06-01' - INTERVAL o.seq * 70 DAY, '%Y-%m-%d'))
     FROM often_here AS o JOIN job_lives AS l ON l.job_id = o.old`,
    [id],
  );
  return id;
}

/** Two lines for every open job that there are so many of. */
async function waiting(connection) {
  await connection.query("UPDATE jobs SET orders_version = version WHERE state = 'open'");
  const body = (part) =>
    JSON.stringify({
      ...{ step: `order.${part}`, part, reason: 'worn past its fit', leadDays: 6 },
      ...{ orderBy: '2027-01-04', late: false, state: 'to order' },
    });
  for (const part of ['stem', 'disc'])
    await connection.query(
      `INSERT IGNORE INTO order_lines (job_id, part, tag, order_by, body)
       SELECT id, ?, tag, '2027-01-04', ? FROM jobs WHERE state = 'open' ORDER BY id LIMIT ${WAITING_JOBS}`,
      [part, body(part)],
    );
}
