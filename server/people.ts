import { personStamp, ROLES, type Role } from '@dusk-wren/core/job';
import { wordProblem } from '@dusk-wren/contract/wording';
import { randomInt } from 'node:crypto';
import { createInterface } from 'node:readline/promises';
import { readConfig } from './config';
import { Refusal } from './refusal';
import { hashNewPin } from './sign-in/pin';
import { connect } from './database/connection';
import { forgetDevicesOf } from './database/known-devices';
import { defineModels, PersonRow } from './database/models';
import { addPerson, listPeople } from './database/people';
import { FORGOTTEN } from './database/second-factors';
import { forgetTriesOf } from './database/sign-in-tries';

const USE = `People of the shop, from a terminal on its server (DATABASE_URL and SESSION_SECRET as for npm start).

  node server/dist/people.mjs list
  node server/dist/people.mjs add "NAME" technician|inspector|lead
  node server/dist/people.mjs role "NAME" technician|inspector|lead
  node server/dist/people.mjs pin "NAME"        another PIN; waits after wrong ones end
  node server/dist/people.mjs remove "NAME"     out at once; what they did stays in the logs under their name

A PIN is made up and printed, or read from standard input with --pin-from-input.
`;
const MADE_UP_DIGITS = 6;

/** A sentence for whoever sits at the terminal. */
class Said extends Error {}

const [what = '', name = '', role = ''] = process.argv.slice(2).filter((word) => !word.startsWith('--'));

async function person(): Promise<PersonRow> {
  const row = await PersonRow.findOne({ where: { name } });
  if (row) return row;
  const known = (await listPeople()).map((each) => each.name);
  throw new Said(`There is no “${name}”. There are: ${known.join(', ') || 'nobody yet'}.`);
}

function roleAsked(): Role {
  const found = ROLES.find((each) => each === role);
  if (!found) throw new Said(`“${role}” is no role. There are: ${ROLES.join(', ')}.`);
  return found;
}

async function pinAsked(): Promise<{ pin: string; say: string }> {
  if (!process.argv.includes('--pin-from-input')) {
    const pin = String(randomInt(10 ** MADE_UP_DIGITS)).padStart(MADE_UP_DIGITS, '0');
    return { pin, say: ` The PIN is ${pin}: say it to nobody else.` };
  }
  const lines = createInterface({ input: process.stdin });
  for await (const line of lines) {
    lines.close();
    return { pin: line.trim(), say: '' };
  }
  throw new Said('No PIN came on standard input.');
}

const ACTIONS: Readonly<Record<string, () => Promise<string>>> = {
  list: async () =>
    (await listPeople()).map((each) => `${each.name}, ${each.role}`).join('\n') || 'Nobody yet.',
  add: async () => {
    const as = roleAsked();
    if (name === '' || (await PersonRow.count({ where: { name } })) > 0)
      throw new Said(name === '' ? 'A name is wanted.' : `${name} is here already.`);
    const { pin, say } = await pinAsked();
    const added = await addPerson({ name, role: as, pinHash: await hashNewPin(pin, as) });
    return `${added.name} is in, as ${added.role}.${say}`;
  },
  role: async () => {
    const [row, as] = [await person(), roleAsked()];
    await row.update({ role: as });
    return `${name} is ${as} from the next press on.`;
  },
  pin: async () => {
    const row = await person();
    const { pin, say } = await pinAsked();
    await row.update({
      pinHash: await hashNewPin(pin, personStamp.shape.role.parse(row.role)),
      codeUntil: null,
      ...FORGOTTEN,
    });
    await forgetDevicesOf(row.id);
    await forgetTriesOf(row.id);
    return `${name} has another PIN.${say}`;
  },
  remove: async () => {
    const row = await person();
    await row.destroy();
    await forgetDevicesOf(row.id);
    return `${name} is out. What they did stays in the logs.`;
  },
};

const read = readConfig(process.env);
if ('wrong' in read) {
  process.stderr.write(`These settings are wrong:\n${read.wrong.map((line) => `  ${line}`).join('\n')}\n`);
  process.exit(1);
}
const action = ACTIONS[what];
if (!action) {
  process.stderr.write(USE);
  process.exit(1);
}
const sequelize = connect(read.config.DATABASE_URL);
defineModels(sequelize);
try {
  process.stdout.write(`${await action()}\n`);
} catch (error) {
  process.exitCode = 1;
  process.stderr.write(
    error instanceof Refusal
      ? `${wordProblem(error.problem)}\n`
      : error instanceof Said
        ? `${error.message}\n`
        : `That could not be done: ${String(error)}\n`,
  );
} finally {
  await sequelize.close();
}
