import { readConfig, type Config } from './config';
import { connect } from './database/connection';
import { defineModels } from './database/models';
import { backUp } from './keeping/backup';
import { checkLogs } from './keeping/check-logs';
import { KeepingFault } from './keeping/fault';
import { restore } from './keeping/restore';

const USE = `Keeping a shop, from a terminal on its server (settings as for npm start).

  npm run backup            one file into BACKUP_DIR, while people work
  npm run restore FILE      into the database of DATABASE_URL, which must be empty
  npm run verify FILE       restored into a private database, every log read; nothing else is touched
  npm run verify            every log of the database of DATABASE_URL is read
`;

const say = (line: string) => process.stdout.write(`${line}\n`);

async function backup(config: Config): Promise<void> {
  const { BACKUP_DIR: folder } = config;
  if (folder === undefined) throw new KeepingFault('Set BACKUP_DIR to the folder that back-ups are kept in');
  const sequelize = connect(config.DATABASE_URL);
  defineModels(sequelize);
  try {
    const kept = await backUp(sequelize, { ...config, folder }, () => new Date());
    if (!kept) throw new KeepingFault('Another back-up is being taken');
    const { file, bytes, sha256 } = kept;
    say(`${folder}/${file}, ${(bytes / 1e6).toFixed(1)} MB, SHA-256 of what is in it ${sha256}`);
  } finally {
    await sequelize.close();
  }
}

async function bringBack(config: Config, file: string): Promise<void> {
  const { DATABASE_URL: url, BACKUP_PASSPHRASE: passphrase } = config;
  const { at } = await restore({ file, url, passphrase, say });
  say(`Restored as of ${at}. Everybody signs in anew.`);
}

async function check(config: Config): Promise<void> {
  const sequelize = connect(config.DATABASE_URL);
  defineModels(sequelize);
  try {
    const { jobs, entries, faults } = await checkLogs();
    for (const { tag, job, what } of faults) say(`${tag} (${job}): ${what}`);
    say(
      `${jobs} jobs, ${entries} entries; ${faults.length === 0 ? 'all follow' : `${faults.length} do not`}`,
    );
    if (faults.length > 0) process.exitCode = 2;
  } finally {
    await sequelize.close();
  }
}

const [what = '', file] = process.argv.slice(2);
const read = readConfig(process.env);
if ('wrong' in read) {
  process.stderr.write(`These settings are wrong:\n${read.wrong.map((line) => `  ${line}`).join('\n')}\n`);
  process.exit(1);
}
try {
  if (what === 'backup') await backup(read.config);
  else if (what === 'restore' && file !== undefined) await bringBack(read.config, file);
  else if (what === 'check') await check(read.config);
  else {
    process.stderr.write(USE);
    process.exitCode = 1;
  }
} catch (error) {
  if (error instanceof KeepingFault) process.stderr.write(`${error.message}.\n`);
  else process.stderr.write(`It could not be done: ${String(error)}\n`);
  process.exitCode = 1;
}
