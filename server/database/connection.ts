import { Sequelize } from 'sequelize';

/**
 * A connection pool to MariaDB; all times in UTC. A database that says nothing for `silence` milliseconds on a connection is
 * taken for gone; never where it is nothing, as for work that takes as long as it takes.
 */
export function connect(
  url: string,
  { silence = 0, log = () => undefined }: { silence?: number; log?: (sql: string) => void } = {},
): Sequelize {
  return new Sequelize(url, {
    dialect: 'mariadb',
    timezone: '+00:00',
    logging: log,
    pool: { max: 10, min: 0, acquire: 15_000, idle: 10_000 },
    dialectOptions: {
      autoJsonMap: false,
      connectTimeout: 5000,
      socketTimeout: silence,
      // What is asked row by row here is seldom asked twice: to remember the answers takes four times as long as to ask again.
      initSql: "SET optimizer_switch = 'subquery_cache=off'",
    },
    define: { timestamps: false, underscored: true },
  });
}
