import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import { count, id, json, maybe, moment, text, uuid } from './columns';

/** What another program comes with. */
export class MachineTokenRow extends Model<
  InferAttributes<MachineTokenRow>,
  InferCreationAttributes<MachineTokenRow>
> {
  declare id: string;
  declare name: string;
  /** SHA-256 of the token: whoever reads the database cannot make it again. */
  declare hash: string;
  declare scopes: string;
  declare until: Date;
  declare madeBy: string;
  declare usedAt: CreationOptional<Date | null>;
  declare endedAt: CreationOptional<Date | null>;
}

/** Work that another program asks for. */
export class WorkOrderRow extends Model<
  InferAttributes<WorkOrderRow>,
  InferCreationAttributes<WorkOrderRow>
> {
  declare number: string;
  declare tokenId: string;
  declare handedInBy: string;
  declare asked: string;
  declare state: string;
  declare why: CreationOptional<string | null>;
  declare jobId: CreationOptional<string | null>;
  declare at: Date;
}

/** Something that other programs are told of; it has no number until whatever was before it is known. */
export class HappeningRow extends Model<
  InferAttributes<HappeningRow>,
  InferCreationAttributes<HappeningRow>
> {
  declare id: string;
  declare seq: CreationOptional<number | null>;
  declare kind: string;
  declare at: Date;
  declare jobId: string | null;
  declare tag: string;
  declare orderNumber: string | null;
}

/** An address that is told. */
export class HookRow extends Model<InferAttributes<HookRow>, InferCreationAttributes<HookRow>> {
  declare id: string;
  declare address: string;
  declare secret: string;
  declare kinds: string;
  declare madeBy: string;
  declare isOn: boolean;
}

/** What an address is told, and how that went. */
export class CallRow extends Model<InferAttributes<CallRow>, InferCreationAttributes<CallRow>> {
  declare hookId: string;
  declare seq: number;
  declare state: string;
  declare tries: number;
  declare nextAt: Date;
  declare said: CreationOptional<string | null>;
  declare toldAt: CreationOptional<Date | null>;
}

const perhaps = () => ({ type: DataTypes.DATE(3), allowNull: true }) as const;
const number = () => ({ type: DataTypes.BIGINT.UNSIGNED, allowNull: true }) as const;

export function defineMachineModels(sequelize: Sequelize): void {
  MachineTokenRow.init(
    {
      ...{ id: id(), name: text(60), hash: text(64), scopes: json(), until: moment(), madeBy: text(80) },
      ...{ usedAt: perhaps(), endedAt: perhaps() },
    },
    { sequelize, tableName: 'machine_tokens' },
  );
  WorkOrderRow.init(
    {
      number: { ...text(40), primaryKey: true },
      ...{ tokenId: uuid(), handedInBy: text(60), asked: json(), state: text(20), why: maybe(200) },
      ...{ jobId: { type: DataTypes.UUID, allowNull: true }, at: moment() },
    },
    { sequelize, tableName: 'work_orders' },
  );
  HappeningRow.init(
    {
      ...{ id: id(), seq: number(), kind: text(30), at: moment(), tag: text(40) },
      ...{ jobId: { type: DataTypes.UUID, allowNull: true }, orderNumber: maybe(40) },
    },
    { sequelize, tableName: 'happenings' },
  );
  HookRow.init(
    {
      ...{ id: id(), address: text(300), secret: text(64), kinds: json(), madeBy: text(80) },
      isOn: { type: DataTypes.BOOLEAN, allowNull: false },
    },
    { sequelize, tableName: 'hooks' },
  );
  CallRow.init(
    {
      hookId: { ...uuid(), primaryKey: true },
      seq: { type: DataTypes.BIGINT.UNSIGNED, allowNull: false, primaryKey: true },
      ...{ state: text(20), tries: count(), nextAt: moment(), said: maybe(200), toldAt: perhaps() },
    },
    { sequelize, tableName: 'calls' },
  );
}
