import { randomUUID } from 'node:crypto';
import { setMaxListeners } from 'node:events';
import { readFileSync } from 'node:fs';
import { get } from 'node:http';
import { note } from '../machine/say.mjs';
import { signedIn } from './signed-in.mjs';
import { bareCommits, p95, timeTaken } from './timing.mjs';

export const PEOPLE = 200;
const A_SECOND = 50;
const AT_ONCE = 10;
const HEADROOM_MS = 20;
/** All the while that people work, not in its first second. */
const BETWEEN_BARE_MS = 100;
const HEARD_LIMIT_MS = 300;
const GROWTH_LIMIT_MB = 20;
const wait = (milliseconds) => new Promise((done) => setTimeout(done, milliseconds));

/**
 * People of a shop on open jobs, each of whom watches a gauge, and 50 commands a second between them for so many minutes: a
 * command beside a bare commit, an entry until another screen has it, memory. `url` is where people reach the shop, `servers`
 * what they reach there, `database` where it commits. Answers with the load, which goes on until it is stopped.
 */
export async function peopleLoad(report, { url, servers, database, minutes }) {
  const leave = new AbortController();
  setMaxListeners(0, leave.signal);
  const valves = await manyPeople(database);
  const rested = p95(await bareCommits(database, 150));
  note(`a bare commit at rest, p95: ${rested.toFixed(1)} ms`);
  const people = await atWork({ valves, url, servers, leave: leave.signal });
  note(`${people.length} people at work, for ${minutes} min`);
  const load = commandsOf(people);
  const beside = bareCommits(database, (minutes * 60_000) / BETWEEN_BARE_MS, BETWEEN_BARE_MS);
  const taken = timeTaken();
  const memory = [];
  for (const began = performance.now(); performance.now() - began < minutes * 60_000; await wait(1000))
    memory.push(servers.map(({ pid }) => residentMegabytes(pid)));
  note(`${(100 * taken()).toFixed(0)} % of this machine's time was taken by others meanwhile`);
  const bare = p95(await beside);
  const { answered, heard } = load.taken();
  note(`${answered.length} commands; a bare commit beside them, p95: ${bare.toFixed(1)} ms`);
  report(`Command of one of ${PEOPLE}, p95`, p95(answered), 2 * bare + HEADROOM_MS, 'ms');
  report('Entry on another screen after it was sent, p95', p95(heard), HEARD_LIMIT_MS, 'ms');
  servers.forEach((_, i) => {
    const [early, late] = halves(memory.map((each) => each[i]));
    report(`Server ${i + 1}, grown over ${minutes} min`, late - early, GROWTH_LIMIT_MB, 'MB');
    note(`server ${i + 1}: ${late.toFixed(0)} MB resident`);
  });
  return {
    goesOn: () => goesOn(load),
    stop: async () => {
      await load.stop();
      leave.abort();
    },
  };
}

/** The medians of the second quarter and of the last: what is loaded once is loaded by then. */
function halves(samples) {
  const quarter = Math.floor(samples.length / 4);
  const middle = (some) => some.toSorted((a, b) => a - b)[Math.floor(some.length / 2)];
  return [middle(samples.slice(quarter, 2 * quarter)), middle(samples.slice(3 * quarter))];
}

const residentMegabytes = (pid) =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1000;

/** How long it takes until so many commands as there are people have been taken again. */
async function goesOn(load) {
  load.taken();
  const began = performance.now();
  for (let taken = 0; taken < PEOPLE;) {
    await wait(20);
    taken += load.taken().answered.length;
  }
  return performance.now() - began;
}

/** One of the demo's technicians again and again, with the same PIN, and a valve for each: answers with the valves. */
async function manyPeople(url) {
  const { createConnection } = await import('mariadb');
  const connection = await createConnection(url);
  try {
    await connection.query(
      `INSERT INTO people (id, name, role, pin_hash) SELECT UUID(), CONCAT('Fitter ', seq), role, pin_hash
       FROM people CROSS JOIN seq_1_to_${PEOPLE} WHERE name = 'Ines Okoro'`,
    );
    await connection.query(
      `INSERT INTO valves (id, tag, serial, tag_key, serial_key, customer, construction, body, standing)
       SELECT UUID(), CONCAT('LOAD-', seq), NULL, CONCAT('load', seq), NULL, customer, construction,
              JSON_SET(JSON_REMOVE(body, '$.serial'), '$.tag', CONCAT('LOAD-', seq)), 'in service'
       FROM (SELECT * FROM valves ORDER BY tag LIMIT 1) AS one CROSS JOIN seq_1_to_${PEOPLE}`,
    );
    return (await connection.query("SELECT id FROM valves WHERE tag LIKE 'LOAD-%'")).map(({ id }) => id);
  } finally {
    await connection.end();
  }
}

/** Everybody signed in, with a job open, its live entries heard at one of the servers and a gauge read at it. */
async function atWork({ valves, url, servers, leave }) {
  const people = [];
  for (let from = 1; from <= PEOPLE; from += AT_ONCE)
    people.push(
      ...(await Promise.all(
        Array.from({ length: AT_ONCE }, (_, i) =>
          begin({ number: from + i, valve: valves[from + i - 1], url, servers, leave }),
        ),
      )),
    );
  return people;
}

async function begin({ number, valve, url, servers, leave }) {
  const base = `${url}/api`;
  const shop = await signedIn(base, `Fitter ${number}`);
  const { id: job } = await shop.post('/jobs', {
    commandId: randomUUID(),
    valve: { id: valve },
    place: 'bare',
    reported: 'load',
  });
  const { version } = await shop.call(`/jobs/${job}`);
  const { instruments } = await shop.call('/instruments');
  const dial = instruments.find(({ kind, simulated }) => kind === 'dial indicator' && simulated);
  const person = { shop, job, version, isBusy: false, waiting: new Map(), heard: [] };
  const own = servers[number % servers.length].url;
  void listen(`${own}/api/jobs/${job}/live?after=${version}`, shop, leave, (text) => {
    for (const [id, began] of person.waiting) {
      if (!text.includes(id)) continue;
      person.waiting.delete(id);
      person.heard.push(performance.now() - began);
    }
  });
  const query = new URLSearchParams({ job, reading: randomUUID(), step: 'receive.plate' });
  void listen(`${base}/instruments/${dial.id}/readings?${query}`, shop, leave);
  return person;
}

/** Hears a stream of events, and again when it ends, as a browser does; `onText` has what came, where it is wanted. */
async function listen(address, shop, leave, onText) {
  while (!leave.aborted) {
    await new Promise((ended) => {
      const asked = get(address, { headers: shop.headers(), signal: leave }, (answer) => {
        if (onText) answer.setEncoding('utf8').on('data', onText);
        else answer.resume();
        answer.once('close', ended);
      });
      asked.once('error', ended);
    });
    if (!leave.aborted) await wait(1000);
  }
}

/** Commands by whoever has none under way, so many a second, each sent again until it is answered. */
function commandsOf(people) {
  let answered = [];
  let turn = 0;
  const under = new Set();
  const timer = setInterval(() => {
    for (let tried = 0; tried < people.length; tried++) {
      const person = people[turn++ % people.length];
      if (person.isBusy) continue;
      const sent = send(person).then((took) => answered.push(took));
      under.add(sent);
      void sent.finally(() => under.delete(sent));
      return;
    }
  }, 1000 / A_SECOND);
  return {
    taken: () => {
      const all = { answered, heard: people.flatMap((person) => person.heard.splice(0)) };
      answered = [];
      return all;
    },
    stop: async () => {
      clearInterval(timer);
      await Promise.all(under);
    },
  };
}

async function send(person) {
  person.isBusy = true;
  const commandId = randomUUID();
  const began = performance.now();
  person.waiting.set(commandId, began);
  const body = {
    baseVersion: person.version,
    commandId,
    command: { kind: 'add-note', body: { text: `load ${commandId}` } },
  };
  for (;;) {
    try {
      const { version } = await person.shop.post(`/jobs/${person.job}/commands`, body);
      person.version = version;
      person.isBusy = false;
      return performance.now() - began;
    } catch (error) {
      if (/answered 4/.test(String(error))) throw error;
      await wait(100);
    }
  }
}
