import type { QueryInterface } from 'sequelize';
import { makeLeases } from '../lock';

/** What one server does for all of them, and the sign that it lives. The lock of the migrations themselves made it before. */
export const up = (queries: QueryInterface): Promise<void> => makeLeases(queries.sequelize);
