import { DataTypes, QueryTypes, type QueryInterface, type Sequelize } from 'sequelize';
import { addColumnOnce } from './once';

const moment = { type: DataTypes.DATE(3), allowNull: false };

/** Each entry of a log carries the hash of the one before it; and when the shop was backed up, and how that went. */
export async function up(queries: QueryInterface): Promise<void> {
  await addColumnOnce(queries, 'job_events', 'hash', "CHAR(64) CHARACTER SET ascii NOT NULL DEFAULT ''");
  await hashLogs(queries.sequelize);
  await queries.createTable('backups', {
    id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
    began_at: moment,
    ended_at: moment,
    file: { type: DataTypes.STRING(120), allowNull: true },
    bytes: { type: DataTypes.BIGINT, allowNull: true },
    sha256: { type: DataTypes.STRING(64), allowNull: true },
    failed: { type: DataTypes.STRING(300), allowNull: true },
  });
}

/** Once only: what was altered after it had a hash is not made to look right by another preparation. */
async function hashLogs(sequelize: Sequelize): Promise<void> {
  const [hashed] = await sequelize.query("SELECT 1 FROM job_events WHERE hash <> '' LIMIT 1", {
    type: QueryTypes.SELECT,
  });
  if (hashed) return;
  await sequelize.transaction(async (transaction) => {
    // A variable has its type before the statement that it is used in.
    await sequelize.query("SET @before = ''", { transaction });
    await sequelize.query(
      `UPDATE job_events SET hash = (@before := SHA2(CONCAT_WS('\\n',
         IF(seq = 1, job_id, @before), seq, kind, format, command_id, at,
         IF(told_by_device, CONCAT(LEFT(DATE_FORMAT(received_at, '%Y-%m-%dT%H:%i:%s.%f'), 23), 'Z'), ''),
         person, body), 256))
       ORDER BY job_id, seq`,
      { transaction },
    );
  });
}
