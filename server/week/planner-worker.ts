import { Piscina } from 'piscina';
import { z } from 'zod';
import { connect } from '../database/connection';
import { databaseProblem } from '../database/failures';
import { defineModels } from '../database/models';
import { Refusal } from '../refusal';
import { makeWeek, takePlan, tryPin, type Moment } from './making';
import type { PlanErrand, Planned } from './planner';
import { yieldToWork } from './yield-to-work';

const { url, silence } = z.object({ url: z.string(), silence: z.number() }).parse(Piscina.workerData);

yieldToWork();
const sequelize = connect(url, { silence });
defineModels(sequelize);

/** Runs in a thread of its own, with connections of its own: see `planner.ts`. A refusal is no failure, and no class outlives the way between threads. */
export default async function work({ now, zone, ...errand }: PlanErrand): Promise<Planned> {
  try {
    await done(errand, { sequelize, now, zone });
    return { kind: 'done' };
  } catch (error) {
    const problem = error instanceof Refusal ? error.problem : databaseProblem(error);
    if (!problem) throw error;
    return { kind: 'refused', problem };
  }
}

function done(errand: Omit<PlanErrand, 'now' | 'zone'>, at: Moment): Promise<void> {
  switch (errand.what.kind) {
    case 'make':
      return makeWeek(at);
    case 'try pin':
      return tryPin(at, errand.what.pin);
    case 'take plan':
      return takePlan(at, errand.what.offered);
  }
}
