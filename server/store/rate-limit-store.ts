import type { ClientRateLimitInfo, Options, Store } from 'express-rate-limit';
import type { Sequelize } from 'sequelize';
import { RateRow } from './models';

/** Counts tries in the database, so that several servers count together. */
export class RateLimitStore implements Store {
  private windowMs = 60_000;

  constructor(
    private readonly sequelize: Sequelize,
    public readonly prefix: string,
  ) {}

  init(options: Options): void {
    this.windowMs = options.windowMs;
  }

  async increment(key: string): Promise<ClientRateLimitInfo> {
    const name = `${this.prefix}:${key}`.slice(0, 120);
    const now = new Date();
    const resetsAt = new Date(now.getTime() + this.windowMs);
    await this.sequelize.query(
      'INSERT INTO rate_limits (`key`, hits, resets_at) VALUES (:name, 1, :resetsAt) ' +
        'ON DUPLICATE KEY UPDATE hits = IF(resets_at <= :now, 1, hits + 1), resets_at = IF(resets_at <= :now, :resetsAt, resets_at)',
      { replacements: { name, now, resetsAt } },
    );
    const row = await RateRow.findByPk(name);
    return { totalHits: row?.hits ?? 1, resetTime: row?.resetsAt ?? resetsAt };
  }

  async decrement(key: string): Promise<void> {
    await RateRow.decrement('hits', { where: { key: `${this.prefix}:${key}`.slice(0, 120) } });
  }

  async resetKey(key: string): Promise<void> {
    await RateRow.destroy({ where: { key: `${this.prefix}:${key}`.slice(0, 120) } });
  }
}
