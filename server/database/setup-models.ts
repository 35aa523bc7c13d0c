import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import { count, id, json, maybe, moment, text, uuid } from './columns';

/** Something that was set up: who changed what, from what to what. */
export class SetupChangeRow extends Model<
  InferAttributes<SetupChangeRow>,
  InferCreationAttributes<SetupChangeRow>
> {
  declare id: CreationOptional<number>;
  declare at: Date;
  declare person: string;
  declare subject: string;
  declare what: string;
  declare before: string | null;
  declare after: string | null;
}

/** A calibration: how far off an instrument was found, and left; shares of what it reads. */
export class CalibrationRow extends Model<
  InferAttributes<CalibrationRow>,
  InferCreationAttributes<CalibrationRow>
> {
  declare id: CreationOptional<number>;
  declare instrumentId: string;
  declare day: string;
  declare due: string;
  declare foundOff: number;
  declare leftOff: number;
  declare certificate: string;
  declare person: string;
  declare at: Date;
}

/** The certificate of a calibration, as its laboratory sent it. */
export class CalibrationFileRow extends Model<
  InferAttributes<CalibrationFileRow>,
  InferCreationAttributes<CalibrationFileRow>
> {
  declare calibrationId: number;
  declare name: string;
  declare type: string;
  declare body: Buffer;
}

/** A back-up that was taken, or was not and why. */
export class BackupRow extends Model<InferAttributes<BackupRow>, InferCreationAttributes<BackupRow>> {
  declare id: CreationOptional<number>;
  declare beganAt: Date;
  declare endedAt: Date;
  declare file: string | null;
  declare bytes: number | null;
  declare sha256: string | null;
  declare failed: string | null;
}

/** A job that is called back: an instrument that it was read with was found off. */
export class RecallRow extends Model<InferAttributes<RecallRow>, InferCreationAttributes<RecallRow>> {
  declare id: CreationOptional<number>;
  declare instrumentId: string;
  declare calibrationId: number;
  declare jobId: string;
  /** Lines of what would stand otherwise, as JSON. */
  declare why: string;
  declare openedAt: Date;
  declare openedBy: string;
  declare closedAt: Date | null;
  declare closedBy: string | null;
  declare closedWhy: string | null;
}

/** Where work is done, with how many there are of it and when it is open. */
export class WorkPlaceRow extends Model<
  InferAttributes<WorkPlaceRow>,
  InferCreationAttributes<WorkPlaceRow>
> {
  declare id: string;
  declare name: string;
  declare kind: string;
  declare count: number;
  /** Days of the week, with blanks between. */
  declare days: string;
  declare opens: string;
  declare closes: string;
  declare retiredAt: CreationOptional<Date | null>;
}

/** One thing that the shop has decided of itself, by its name. */
export class SettingRow extends Model<InferAttributes<SettingRow>, InferCreationAttributes<SettingRow>> {
  declare name: string;
  declare value: string;
}

/** The tables of what a lead sets up, beside people and instruments themselves. */
export function defineSetupModels(sequelize: Sequelize): void {
  SetupChangeRow.init(
    {
      id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      at: moment(),
      person: json(),
      subject: text(20),
      what: text(200),
      before: { type: DataTypes.TEXT, allowNull: true },
      after: { type: DataTypes.TEXT, allowNull: true },
    },
    { sequelize, tableName: 'setup_changes' },
  );
  CalibrationRow.init(
    {
      id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      instrumentId: uuid(),
      day: { type: DataTypes.DATEONLY, allowNull: false },
      due: { type: DataTypes.DATEONLY, allowNull: false },
      foundOff: { type: DataTypes.DOUBLE, allowNull: false },
      leftOff: { type: DataTypes.DOUBLE, allowNull: false },
      certificate: text(60),
      person: json(),
      at: moment(),
    },
    { sequelize, tableName: 'calibrations' },
  );
  CalibrationFileRow.init(
    {
      calibrationId: { ...count(), primaryKey: true },
      name: text(120),
      type: text(40),
      body: { type: DataTypes.BLOB('long'), allowNull: false },
    },
    { sequelize, tableName: 'calibration_files' },
  );
  RecallRow.init(
    {
      id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      instrumentId: uuid(),
      calibrationId: count(),
      jobId: uuid(),
      why: json(),
      openedAt: moment(),
      openedBy: json(),
      closedAt: { type: DataTypes.DATE(3), allowNull: true },
      closedBy: { type: DataTypes.TEXT, allowNull: true },
      closedWhy: maybe(400),
    },
    { sequelize, tableName: 'recalls' },
  );
  WorkPlaceRow.init(
    {
      id: id(),
      name: text(80),
      kind: text(20),
      count: count(),
      days: text(40),
      opens: text(5),
      closes: text(5),
      retiredAt: { type: DataTypes.DATE(3), allowNull: true },
    },
    { sequelize, tableName: 'work_places' },
  );
  SettingRow.init(
    { name: { ...text(40), primaryKey: true }, value: text(200) },
    { sequelize, tableName: 'shop_settings' },
  );
  BackupRow.init(
    {
      id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      beganAt: moment(),
      endedAt: moment(),
      file: maybe(120),
      bytes: { type: DataTypes.BIGINT, allowNull: true },
      sha256: maybe(64),
      failed: maybe(300),
    },
    { sequelize, tableName: 'backups' },
  );
}
