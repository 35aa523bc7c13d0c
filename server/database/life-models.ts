import {
  DataTypes,
  Model,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';

/** What a signed job says in the life of its valve. */
export class JobLifeRow extends Model<InferAttributes<JobLifeRow>, InferCreationAttributes<JobLifeRow>> {
  declare jobId: string;
  declare valveId: string;
  declare customer: string;
  declare construction: string;
  declare signed: string;
  declare minutes: number;
  /** What its parts cost. */
  declare parts: string;
  declare found: string | null;
  declare cause: string | null;
  /** It came within ninety days of the job before. */
  declare cameBack: boolean;
  declare body: string;
}

/** A part from the job that fitted it to the one that took it out. */
export class PartLifeRow extends Model<InferAttributes<PartLifeRow>, InferCreationAttributes<PartLifeRow>> {
  declare jobId: string;
  declare part: string;
  declare valveId: string;
  declare construction: string;
  declare service: string;
  declare fittedOn: string;
  declare endedOn: string | null;
  declare fate: string;
  /** The one before it had failed, at an age that nobody knows. */
  declare afterUnknown: boolean;
}

/** Parts of the store that were fitted on a job. */
export class DrawnPartRow extends Model<
  InferAttributes<DrawnPartRow>,
  InferCreationAttributes<DrawnPartRow>
> {
  declare jobId: string;
  declare part: string;
  declare number: string;
  declare onDay: string;
  declare count: number;
  /** Of one of them, then. */
  declare price: string;
}

/** A part that an open job wants ordered, or waits for. */
export class OrderLineRow extends Model<
  InferAttributes<OrderLineRow>,
  InferCreationAttributes<OrderLineRow>
> {
  declare jobId: string;
  declare part: string;
  declare tag: string;
  declare orderBy: string | null;
  declare body: string;
}

const uuid = () => ({ type: DataTypes.UUID, allowNull: false });
const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
const day = () => ({ type: DataTypes.DATEONLY, allowNull: false });
const count = () => ({ type: DataTypes.INTEGER, allowNull: false });
const money = () => ({ type: DataTypes.DECIMAL(12, 2), allowNull: false });

export function defineLifeModels(sequelize: Sequelize): void {
  JobLifeRow.init(
    {
      jobId: { ...uuid(), primaryKey: true },
      valveId: uuid(),
      customer: text(80),
      construction: text(40),
      signed: day(),
      minutes: count(),
      parts: money(),
      found: DataTypes.STRING(20),
      cause: DataTypes.STRING(60),
      cameBack: { type: DataTypes.BOOLEAN, allowNull: false },
      body: { type: DataTypes.TEXT('long'), allowNull: false },
    },
    { sequelize, tableName: 'job_lives' },
  );
  PartLifeRow.init(
    {
      jobId: { ...uuid(), primaryKey: true },
      part: { ...text(60), primaryKey: true },
      valveId: uuid(),
      construction: text(40),
      service: text(60),
      fittedOn: day(),
      endedOn: DataTypes.DATEONLY,
      fate: text(20),
      afterUnknown: { type: DataTypes.BOOLEAN, allowNull: false },
    },
    { sequelize, tableName: 'part_lives' },
  );
  DrawnPartRow.init(
    {
      jobId: { ...uuid(), primaryKey: true },
      part: { ...text(60), primaryKey: true },
      number: { ...text(40), primaryKey: true },
      onDay: day(),
      count: count(),
      price: money(),
    },
    { sequelize, tableName: 'drawn_parts' },
  );
  OrderLineRow.init(
    {
      jobId: { ...uuid(), primaryKey: true },
      part: { ...text(60), primaryKey: true },
      tag: text(40),
      orderBy: DataTypes.DATEONLY,
      body: { type: DataTypes.TEXT, allowNull: false },
    },
    { sequelize, tableName: 'order_lines' },
  );
}
