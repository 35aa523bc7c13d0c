import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import { count, id, json, moment, text, uuid } from './columns';

/** An exercise that somebody did, with its marks. */
export class AttemptRow extends Model<InferAttributes<AttemptRow>, InferCreationAttributes<AttemptRow>> {
  declare id: string;
  declare personId: string;
  declare drill: string;
  declare level: number;
  declare construction: string;
  declare ticket: string;
  declare moves: string;
  declare hints: number;
  declare score: number;
  /** Its lines, as they were marked. */
  declare marks: string;
  declare seconds: number;
  declare at: Date;
  declare taskId: string | null;
}

/** An exercise that a teacher has put together, and to whom it went. */
export class DrillTaskRow extends Model<
  InferAttributes<DrillTaskRow>,
  InferCreationAttributes<DrillTaskRow>
> {
  declare id: string;
  declare ticket: string;
  declare note: string;
  declare people: string;
  declare sentBy: string;
  declare at: Date;
}

/** What a lead asks before somebody is planned for a kind of work. */
export class WorkRuleRow extends Model<InferAttributes<WorkRuleRow>, InferCreationAttributes<WorkRuleRow>> {
  declare work: string;
  declare drills: string;
  declare witnessed: boolean;
}

/** A real job that somebody was watched at. */
export class WitnessedRow extends Model<
  InferAttributes<WitnessedRow>,
  InferCreationAttributes<WitnessedRow>
> {
  declare id: CreationOptional<number>;
  declare personId: string;
  declare work: string;
  declare jobId: string;
  declare witnessedBy: string;
  declare at: Date;
}

const number = () => ({ type: DataTypes.DOUBLE, allowNull: false }) as const;

export function defineDrillModels(sequelize: Sequelize): void {
  AttemptRow.init(
    {
      ...{ id: id(), personId: uuid(), drill: text(40), level: count(), construction: text(40) },
      ...{ ticket: json(), moves: json(), hints: count(), score: number(), marks: json() },
      ...{ seconds: number(), at: moment(), taskId: { type: DataTypes.UUID, allowNull: true } },
    },
    { sequelize, tableName: 'drill_attempts' },
  );
  DrillTaskRow.init(
    { id: id(), ticket: json(), note: text(200), people: json(), sentBy: text(80), at: moment() },
    { sequelize, tableName: 'drill_tasks' },
  );
  WorkRuleRow.init(
    {
      work: { ...text(40), primaryKey: true },
      drills: json(),
      witnessed: { type: DataTypes.BOOLEAN, allowNull: false },
    },
    { sequelize, tableName: 'work_rules' },
  );
  WitnessedRow.init(
    {
      id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      ...{ personId: uuid(), work: text(40), jobId: uuid(), witnessedBy: text(80), at: moment() },
    },
    { sequelize, tableName: 'witnessed_work' },
  );
}
