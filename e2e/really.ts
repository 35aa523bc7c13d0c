import type { Condition } from '@dusk-wren/core/simulation';
import type { Page } from '@playwright/test';
import { createConnection } from 'mariadb';
import { jobAt } from './api';
import { DATABASE } from './bench';

/** What is really the matter with the valve of this job: its simulated instruments read that. */
export async function isReally(
  page: Page,
  address: string,
  amiss: Pick<Condition, 'relief' | 'positioner' | 'fault'>,
): Promise<void> {
  const { valveId } = await jobAt(page, address);
  const connection = await createConnection(DATABASE);
  const still = { dimension: 'length', value: 0, unit: 'thou' };
  const condition = {
    ...{ stemBow: still, stemBowDegrees: 0, stemOvality: still },
    ...{ trapped: [], blockValvePasses: false },
    ...amiss,
  };
  await connection.query('UPDATE valves SET simulated = ? WHERE id = ?', [
    JSON.stringify(condition),
    valveId,
  ]);
  await connection.end();
}
