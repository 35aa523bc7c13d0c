import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import { count, id, json, moment, text, uuid } from './columns';

/** A day on which nobody works. */
export class HolidayRow extends Model<InferAttributes<HolidayRow>, InferCreationAttributes<HolidayRow>> {
  declare day: string;
  declare name: string;
}

/** Days on which somebody is away, the first and the last among them. */
export class AbsenceRow extends Model<InferAttributes<AbsenceRow>, InferCreationAttributes<AbsenceRow>> {
  declare id: CreationOptional<number>;
  declare personId: string;
  declare fromDay: string;
  declare toDay: string;
  declare why: string;
}

/** Hours of one day that somebody stays for beyond their own. */
export class ExtraHoursRow extends Model<
  InferAttributes<ExtraHoursRow>,
  InferCreationAttributes<ExtraHoursRow>
> {
  declare id: CreationOptional<number>;
  declare personId: string;
  declare day: string;
  declare opens: string;
  declare closes: string;
}

/** What is left of an open job, as operations, by the version of its log. */
export class JobOperationsRow extends Model<
  InferAttributes<JobOperationsRow>,
  InferCreationAttributes<JobOperationsRow>
> {
  declare jobId: string;
  declare version: number;
  declare body: string;
}

/** How much a job matters to the plan; one without a row counts once. */
export class WantRow extends Model<InferAttributes<WantRow>, InferCreationAttributes<WantRow>> {
  declare jobId: string;
  declare hard: boolean;
  declare weight: number;
  /** Nothing of it is begun before this day. */
  declare notBefore: CreationOptional<string | null>;
}

/** How long each kind of work took on a signed job, over what was planned. */
export class WorkTimesRow extends Model<
  InferAttributes<WorkTimesRow>,
  InferCreationAttributes<WorkTimesRow>
> {
  declare jobId: string;
  declare construction: string;
  declare signed: Date;
  declare body: string;
}

/** Valves that are to be done in one shutdown. */
export class OutageRow extends Model<InferAttributes<OutageRow>, InferCreationAttributes<OutageRow>> {
  declare id: string;
  declare name: string;
  declare fromDay: string;
  declare toDay: string;
  /** Their ids, as JSON. */
  declare valves: string;
  declare madeBy: string;
  declare madeAt: Date;
}

/** An operation that a lead has put somewhere. */
export class PinRow extends Model<InferAttributes<PinRow>, InferCreationAttributes<PinRow>> {
  declare jobId: string;
  declare operation: string;
  declare start: Date | null;
  declare personId: string | null;
  declare pinnedBy: string;
  declare at: Date;
}

/** The plan of a day, the last that was made on it, with the one that its morning found. */
export class KeptWeekRow extends Model<InferAttributes<KeptWeekRow>, InferCreationAttributes<KeptWeekRow>> {
  declare day: string;
  declare madeOf: string;
  declare from: Date;
  declare body: string;
}

/** What the plan says of a job: lists read it. */
export class PlannedJobRow extends Model<
  InferAttributes<PlannedJobRow>,
  InferCreationAttributes<PlannedJobRow>
> {
  declare jobId: string;
  declare readyAt: Date | null;
  declare body: string;
}

const day = () => ({ type: DataTypes.DATEONLY, allowNull: false });
const numbered = () => ({ type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true });

/** The tables of who is there when, and of the plan. */
export function defineWeekModels(sequelize: Sequelize): void {
  HolidayRow.init(
    { day: { ...day(), primaryKey: true }, name: text(80) },
    { sequelize, tableName: 'holidays' },
  );
  AbsenceRow.init(
    { id: numbered(), personId: uuid(), fromDay: day(), toDay: day(), why: text(80) },
    { sequelize, tableName: 'absences' },
  );
  ExtraHoursRow.init(
    { id: numbered(), personId: uuid(), day: day(), opens: text(5), closes: text(5) },
    { sequelize, tableName: 'extra_hours' },
  );
  JobOperationsRow.init(
    { jobId: id(), version: count(), body: json() },
    { sequelize, tableName: 'job_operations' },
  );
  WantRow.init(
    {
      jobId: id(),
      hard: { type: DataTypes.BOOLEAN, allowNull: false },
      weight: count(),
      notBefore: { type: DataTypes.DATEONLY, allowNull: true },
    },
    { sequelize, tableName: 'week_wants' },
  );
  WorkTimesRow.init(
    { jobId: id(), construction: text(40), signed: moment(), body: json() },
    { sequelize, tableName: 'work_times' },
  );
  OutageRow.init(
    {
      ...{ id: id(), name: text(80), fromDay: day(), toDay: day(), valves: json() },
      ...{ madeBy: text(80), madeAt: moment() },
    },
    { sequelize, tableName: 'outages' },
  );
  PinRow.init(
    {
      jobId: id(),
      operation: { ...text(200), primaryKey: true },
      start: { type: DataTypes.DATE(3), allowNull: true },
      personId: { type: DataTypes.UUID, allowNull: true },
      pinnedBy: text(80),
      at: moment(),
    },
    { sequelize, tableName: 'week_pins' },
  );
  KeptWeekRow.init(
    { day: { ...day(), primaryKey: true }, madeOf: text(120), from: moment(), body: json() },
    { sequelize, tableName: 'kept_weeks' },
  );
  PlannedJobRow.init(
    { jobId: id(), readyAt: { type: DataTypes.DATE(3), allowNull: true }, body: json() },
    { sequelize, tableName: 'planned_jobs' },
  );
}
