import type { agesQuery, KitUse, PartAges } from '@dusk-wren/contract';
import { daysBetween } from '@dusk-wren/core/quantity';
import { CONSTRUCTION_IDS, PART_ROLES, type ConstructionId, type PartRole } from '@dusk-wren/core/valve';
import { col, fn, Op } from 'sequelize';
import { z } from 'zod';
import type { Since } from './fleet';
import { JobLifeRow, PartLifeRow } from './life-models';
import { shopDay } from './shop-day';
import { listKits } from './stock';

const MOST = 5000;

/** How old a part of a construction became, and how old those are that still run. */
export async function agesOf(query: z.output<typeof agesQuery>, now: string): Promise<PartAges> {
  const { construction, part, service } = query;
  const today = await shopDay(now);
  const of = { construction, part };
  const [rows, unknown, media] = await Promise.all([
    PartLifeRow.findAll({ where: { ...of, ...(service === undefined ? {} : { service }) }, limit: MOST }),
    PartLifeRow.count({
      where: { ...of, afterUnknown: true, ...(service === undefined ? {} : { service }) },
    }),
    PartLifeRow.findAll({
      where: { ...of, service: { [Op.ne]: '' } },
      attributes: ['service'],
      group: ['service'],
      limit: 40,
    }),
  ]);
  const ageOf = ({ fittedOn, endedOn }: PartLifeRow) => Math.max(1, daysBetween(fittedOn, endedOn ?? today));
  const [failed, others] = [
    rows.filter(({ fate }) => fate === 'failed'),
    rows.filter(({ fate }) => fate !== 'failed'),
  ];
  return {
    failures: failed.map(ageOf),
    running: others.map(ageOf),
    unknown,
    services: media.map(({ service: medium }) => medium).sort(),
  };
}

/** Kits against what the jobs of their constructions took since a day. */
export async function kitUsesOf({ since }: Since): Promise<KitUse[]> {
  const [kits, fitted, jobs] = await Promise.all([
    listKits(),
    PartLifeRow.findAll({
      where: { fittedOn: { [Op.gte]: since } },
      attributes: ['construction', 'part', [fn('COUNT', col('part')), 'count']],
      group: ['construction', 'part'],
      raw: true,
    }),
    JobLifeRow.findAll({
      where: { signed: { [Op.gte]: since } },
      attributes: ['construction', [fn('COUNT', col('job_id')), 'count']],
      group: ['construction'],
      raw: true,
    }),
  ]);
  const known = { construction: z.enum(CONSTRUCTION_IDS), count: z.coerce.number() };
  const used = new Map(
    z
      .array(z.object({ ...known, part: z.enum(PART_ROLES) }))
      .parse(fitted)
      .map(({ construction, part, count }) => [keyOf(construction, part), count]),
  );
  const worked = new Map(
    z
      .array(z.object(known))
      .parse(jobs)
      .map(({ construction, count }) => [construction, count]),
  );
  return kits.flatMap(({ number, title, construction: of, lines }) => {
    const construction = CONSTRUCTION_IDS.find((id) => id === of);
    const count = construction && worked.get(construction);
    if (!construction || !count) return [];
    return [
      {
        ...{ sheet: number, title, construction, jobs: count },
        lines: lines.map(({ line, name, part }) => ({
          ...{ line, name, part },
          used: used.get(keyOf(construction, part)) ?? 0,
        })),
      },
    ];
  });
}

const keyOf = (construction: ConstructionId, part: PartRole): string => `${construction} ${part}`;
