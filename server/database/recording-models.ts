import {
  DataTypes,
  Model,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import { count, id, maybe, moment, text } from './columns';

/** A recording that a rig left as a file. */
export class RecordingRow extends Model<
  InferAttributes<RecordingRow>,
  InferCreationAttributes<RecordingRow>
> {
  declare id: string;
  /** SHA-256 of its bytes: a file that comes twice lands once. */
  declare sum: string;
  declare file: string;
  declare body: Buffer;
  declare rows: number;
  declare at: Date;
  /** The job that it is of; none while there is none, or it could not be read. */
  declare jobId: string | null;
  /** Why it is of no job. */
  declare why: string | null;
}

export function defineRecordingModels(sequelize: Sequelize): void {
  RecordingRow.init(
    {
      id: id(),
      sum: text(64),
      file: text(120),
      body: { type: DataTypes.BLOB('long'), allowNull: false },
      rows: count(),
      at: moment(),
      jobId: { type: DataTypes.UUID, allowNull: true },
      why: maybe(200),
    },
    { sequelize, tableName: 'recordings' },
  );
}
