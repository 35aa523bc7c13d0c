import { connect } from './database/connection';
import { migrate } from './database/migrate';
import { defineModels } from './database/models';
import { readConfig } from './config';
import { clearHalfPlayed } from './demo/clear';
import { seedDevice } from './demo/device';
import { seedDemo } from './demo/seed';

/** Brings the database up to date and, with `--demo`, fills it with the demo when it is empty. */
const read = readConfig(process.env);
if ('wrong' in read) {
  process.stderr.write(`These settings are wrong:\n${read.wrong.map((line) => `  ${line}`).join('\n')}\n`);
  process.exit(1);
}
const sequelize = connect(read.config.DATABASE_URL);
defineModels(sequelize);
try {
  await migrate(sequelize, (line) => process.stdout.write(`  ${line}\n`));
  if (process.argv.includes('--demo')) {
    await clearHalfPlayed();
    const seeded = await seedDemo(sequelize, (line) => process.stdout.write(`  ${line}\n`));
    const device = process.env['BENCH_DEVICE_PORT'];
    if (device !== undefined) await seedDevice(Number(device), Date.now());
    process.stdout.write(seeded ? '  demo data is in\n' : '  data is there already, kept\n');
  }
} catch (error) {
  process.stderr.write(`The database could not be prepared: ${String(error)}\n`);
  process.exitCode = 1;
} finally {
  await sequelize.close();
}
