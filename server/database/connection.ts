import { Sequelize } from 'sequelize';

/** A connection pool to MariaDB; all times in UTC. */
export function connect(url: string, log: (sql: string) => void = () => undefined): Sequelize {
  return new Sequelize(url, {
    dialect: 'mariadb',
    timezone: '+00:00',
    logging: log,
    pool: { max: 10, min: 0, acquire: 15_000, idle: 10_000 },
    dialectOptions: { autoJsonMap: false, connectTimeout: 5000 },
    define: { timestamps: false, underscored: true },
  });
}
