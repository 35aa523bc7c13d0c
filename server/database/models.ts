import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import { id, uuid, text, maybe, json, day, moment, count } from './columns';
import { defineLifeModels } from './life-models';
import { defineMachineModels } from './machine-models';
import { defineRecordingModels } from './recording-models';
import { defineRegisterModels } from './register-models';
import { defineSetupModels } from './setup-models';
import { defineDrillModels } from './drill-models';
import { defineWeekModels } from './week-models';

/** Tables as Sequelize sees them. JSON columns hold text; whoever reads one parses it with its own schema. */
export class PersonRow extends Model<InferAttributes<PersonRow>, InferCreationAttributes<PersonRow>> {
  declare id: string;
  declare name: string;
  declare role: string;
  declare pinHash: string;
  /** What they are known to be good at, as JSON. */
  declare skills: CreationOptional<string>;
  /** Their own hours, as JSON; nothing where they go by those of the shop. */
  declare hours: CreationOptional<string | null>;
  /** When they left: kept for the logs, and for nothing else. */
  declare leftAt: CreationOptional<Date | null>;
  /** When all else that was known of them was erased. */
  declare erasedAt: CreationOptional<Date | null>;
  /** The hash is of a code that a lead gave, good until then, and not yet of a PIN of their own. */
  declare codeUntil: CreationOptional<Date | null>;
  /** What seals their things on a device, in base64. */
  declare deviceKey: CreationOptional<string | null>;
  /** The hash of the badge that they scan. */
  declare badge: CreationOptional<string | null>;
  /** What their authenticator shares with the shop. */
  declare secondSecret: CreationOptional<string | null>;
  /** The step of the last code that opened anything. */
  declare secondStep: CreationOptional<number | null>;
}

export class ValveRow extends Model<InferAttributes<ValveRow>, InferCreationAttributes<ValveRow>> {
  declare id: string;
  declare tag: string;
  declare serial: string | null;
  /** Tag and serial as they are compared. */
  declare tagKey: string | null;
  declare serialKey: string | null;
  declare customer: string;
  declare construction: string;
  declare body: string;
  /** The truth that simulated instruments read; null for a real valve. */
  declare simulated: string | null;
  /** In its line, a spare, or gone for good. */
  declare standing: CreationOptional<string>;
  /** The day that it is due on next, and why: all that says so, the soonest first. */
  declare dueOn: CreationOptional<string | null>;
  declare due: CreationOptional<string | null>;
}

export class SiteRow extends Model<InferAttributes<SiteRow>, InferCreationAttributes<SiteRow>> {
  declare customer: string;
  declare rules: string;
  /** How often they were set. */
  declare version: CreationOptional<number>;
}

export class JobRow extends Model<InferAttributes<JobRow>, InferCreationAttributes<JobRow>> {
  declare id: string;
  declare valveId: string;
  declare version: number;
  declare state: string;
  declare personId: string | null;
  declare tag: string;
  declare serial: string | null;
  declare location: string;
  declare due: string | null;
  /** The due date, or the end of time: what lists are ordered by. */
  declare dueKey: string;
  declare openedAt: Date;
  declare summary: string;
  /** The valve's id while the job is open, so that a valve has one open job at most. */
  declare openValveId: string | null;
  /** The version that its order lines are kept of; null where an older server wrote last. */
  declare ordersVersion: CreationOptional<number | null>;
}

export class EventRow extends Model<InferAttributes<EventRow>, InferCreationAttributes<EventRow>> {
  declare id: CreationOptional<number>;
  declare jobId: string;
  declare seq: number;
  declare commandId: string;
  declare kind: string;
  declare format: number;
  declare body: string;
  declare person: string;
  declare instrumentId: string | null;
  declare at: string;
  /** `at` is what the device said that it was done on, not this server's clock. */
  declare toldByDevice: CreationOptional<boolean>;
  declare receivedAt: Date;
  /** Of this entry and all before it: see `log-chain`. */
  declare hash: string;
}

export class ReceiptRow extends Model<InferAttributes<ReceiptRow>, InferCreationAttributes<ReceiptRow>> {
  declare commandId: string;
  declare jobId: string;
  declare firstSeq: number;
  declare lastSeq: number;
}

export class InstrumentRow extends Model<
  InferAttributes<InstrumentRow>,
  InferCreationAttributes<InstrumentRow>
> {
  declare id: string;
  declare name: string;
  declare kind: string;
  /** Which source reads it. */
  declare driver: string;
  /** How that source is set, as JSON; nothing where it is as usual. */
  declare settings: CreationOptional<string | null>;
  declare calibrationDue: string;
  declare serial: CreationOptional<string>;
  /** From what to what it reads, as its certificate says. */
  declare reach: CreationOptional<string>;
  declare resolution: CreationOptional<string>;
  /** Taken out of use: kept for the logs. */
  declare retiredAt: CreationOptional<Date | null>;
}

export class FaultCountRow extends Model<
  InferAttributes<FaultCountRow>,
  InferCreationAttributes<FaultCountRow>
> {
  declare symptom: string;
  declare cause: string;
  declare count: number;
}

/** What one turn of a screw did on the last valve of a model. */
export class ScrewEffectRow extends Model<
  InferAttributes<ScrewEffectRow>,
  InferCreationAttributes<ScrewEffectRow>
> {
  /** As sheets are filed by it. */
  declare model: string;
  declare screw: string;
  declare what: string;
  declare perTurn: number;
}

/** A maker's sheet that is the shop's: the latest of a model is used. */
export class SheetRow extends Model<InferAttributes<SheetRow>, InferCreationAttributes<SheetRow>> {
  declare id: CreationOptional<number>;
  /** As sheets are filed by it. */
  declare model: string;
  declare body: string;
  /** The entry that made it the shop's; null for one older than that was kept. */
  declare jobId: string | null;
  declare seq: number | null;
  /** Who made it the shop's on Setup, as JSON, and when; what was typed on a job has that in its entry. */
  declare person: CreationOptional<string | null>;
  declare at: CreationOptional<Date | null>;
}

export class PhotoRow extends Model<InferAttributes<PhotoRow>, InferCreationAttributes<PhotoRow>> {
  declare id: string;
  declare jobId: string;
  declare width: number;
  declare height: number;
  /** JPEG as the server wrote it, without metadata. */
  declare body: Buffer;
}

/** Wrong PINs in a row, and when the next one may be tried. */
export class TriesRow extends Model<InferAttributes<TriesRow>, InferCreationAttributes<TriesRow>> {
  declare key: string;
  declare failures: number;
  declare lastAt: Date;
  declare nextAt: Date;
}

/** A device on which a person has signed in before. */
export class DeviceRow extends Model<InferAttributes<DeviceRow>, InferCreationAttributes<DeviceRow>> {
  /** SHA-256 of what its cookie holds. */
  declare device: string;
  declare personId: string;
  declare seenAt: Date;
}

/** A file that was brought into the store, and by whom. */
export class StockImportRow extends Model<
  InferAttributes<StockImportRow>,
  InferCreationAttributes<StockImportRow>
> {
  declare id: CreationOptional<number>;
  declare kind: string;
  declare person: string;
  declare at: Date;
  /** SHA-256 of the file. */
  declare file: string;
  declare written: number;
  declare skipped: number;
}

export class StockRow extends Model<InferAttributes<StockRow>, InferCreationAttributes<StockRow>> {
  declare number: string;
  declare name: string;
  declare part: string;
  declare fits: string;
  declare material: string;
  declare elastomer: string | null;
  /** A decimal, which the driver hands over as text. */
  declare price: string;
  declare leadDays: number;
  declare bin: string;
  declare onHand: number;
  declare reorderAt: number;
  declare cureDate: string | null;
}

export class KitRow extends Model<InferAttributes<KitRow>, InferCreationAttributes<KitRow>> {
  declare number: string;
  declare construction: string;
  declare body: string;
}

export class UnitRow extends Model<InferAttributes<UnitRow>, InferCreationAttributes<UnitRow>> {
  declare id: string;
  declare kind: string;
  declare serial: string;
  declare valveKey: string;
  declare state: string;
  declare builtOn: string | null;
  declare jobId: string | null;
  declare tag: string | null;
}

export function defineModels(sequelize: Sequelize): void {
  defineSetupModels(sequelize);
  defineRegisterModels(sequelize);
  defineLifeModels(sequelize);
  defineWeekModels(sequelize);
  defineDrillModels(sequelize);
  defineRecordingModels(sequelize);
  defineMachineModels(sequelize);
  PersonRow.init(
    {
      id: id(),
      name: text(80),
      role: text(20),
      pinHash: text(200),
      skills: { type: DataTypes.TEXT, allowNull: false, defaultValue: '[]' },
      hours: { type: DataTypes.TEXT, allowNull: true },
      leftAt: { type: DataTypes.DATE(3), allowNull: true },
      erasedAt: { type: DataTypes.DATE(3), allowNull: true },
      codeUntil: { type: DataTypes.DATE(3), allowNull: true },
      deviceKey: maybe(44),
      badge: maybe(64),
      secondSecret: maybe(64),
      secondStep: { type: DataTypes.BIGINT, allowNull: true },
    },
    { sequelize, tableName: 'people' },
  );
  ValveRow.init(
    {
      id: id(),
      tag: text(40),
      serial: maybe(60),
      tagKey: maybe(60),
      serialKey: maybe(60),
      customer: text(80),
      construction: text(40),
      body: json(),
      simulated: { type: DataTypes.TEXT, allowNull: true },
      standing: { ...text(20), defaultValue: 'in place' },
      dueOn: day(),
      due: { type: DataTypes.TEXT, allowNull: true },
    },
    { sequelize, tableName: 'valves' },
  );
  SiteRow.init(
    {
      customer: { ...text(80), primaryKey: true },
      rules: json(),
      version: { ...count(), defaultValue: 1 },
    },
    { sequelize, tableName: 'sites' },
  );
  JobRow.init(
    {
      id: id(),
      valveId: uuid(),
      version: count(),
      state: text(12),
      personId: { type: DataTypes.UUID, allowNull: true },
      tag: text(40),
      serial: maybe(60),
      location: text(220),
      due: day(),
      dueKey: text(10),
      openedAt: moment(),
      summary: json(),
      openValveId: { type: DataTypes.UUID, allowNull: true },
      ordersVersion: { type: DataTypes.INTEGER, allowNull: true },
    },
    { sequelize, tableName: 'jobs' },
  );
  EventRow.init(
    {
      id: { type: DataTypes.BIGINT, primaryKey: true, autoIncrement: true },
      jobId: uuid(),
      seq: count(),
      commandId: uuid(),
      kind: text(40),
      format: count(),
      body: json(),
      person: json(),
      instrumentId: { type: DataTypes.UUID, allowNull: true },
      at: text(40),
      toldByDevice: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
      receivedAt: moment(),
      hash: text(64),
    },
    { sequelize, tableName: 'job_events' },
  );
  ReceiptRow.init(
    { commandId: id(), jobId: uuid(), firstSeq: count(), lastSeq: count() },
    { sequelize, tableName: 'command_receipts' },
  );
  InstrumentRow.init(
    {
      id: id(),
      name: text(80),
      kind: text(40),
      driver: text(40),
      settings: { type: DataTypes.TEXT, allowNull: true },
      calibrationDue: { type: DataTypes.DATEONLY, allowNull: false },
      serial: { ...text(60), defaultValue: '' },
      reach: { ...text(60), defaultValue: '' },
      resolution: { ...text(40), defaultValue: '' },
      retiredAt: { type: DataTypes.DATE(3), allowNull: true },
    },
    { sequelize, tableName: 'instruments' },
  );
  StockRow.init(
    {
      number: { ...text(40), primaryKey: true },
      name: text(120),
      part: text(60),
      fits: text(80),
      material: text(60),
      elastomer: maybe(40),
      price: { type: DataTypes.DECIMAL(12, 2), allowNull: false },
      leadDays: count(),
      bin: text(20),
      onHand: count(),
      reorderAt: count(),
      cureDate: maybe(20),
    },
    { sequelize, tableName: 'parts_stock' },
  );
  KitRow.init(
    { number: { ...text(60), primaryKey: true }, construction: text(40), body: json() },
    { sequelize, tableName: 'kits' },
  );
  UnitRow.init(
    {
      id: id(),
      kind: text(40),
      serial: text(60),
      valveKey: text(80),
      state: text(20),
      builtOn: day(),
      jobId: { type: DataTypes.UUID, allowNull: true },
      tag: maybe(40),
    },
    { sequelize, tableName: 'shelf_units' },
  );
  FaultCountRow.init(
    {
      symptom: { ...text(40), primaryKey: true },
      cause: { ...text(40), primaryKey: true },
      count: count(),
    },
    { sequelize, tableName: 'fault_counts' },
  );
  ScrewEffectRow.init(
    {
      model: { ...text(60), primaryKey: true },
      screw: { ...text(40), primaryKey: true },
      what: { ...text(80), primaryKey: true },
      perTurn: { type: DataTypes.DOUBLE, allowNull: false },
    },
    { sequelize, tableName: 'screw_effects' },
  );
  SheetRow.init(
    {
      id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      model: text(60),
      body: json(),
      jobId: { type: DataTypes.UUID, allowNull: true },
      seq: { type: DataTypes.INTEGER, allowNull: true },
      person: { type: DataTypes.TEXT, allowNull: true },
      at: { type: DataTypes.DATE(3), allowNull: true },
    },
    { sequelize, tableName: 'shop_sheets' },
  );
  PhotoRow.init(
    {
      id: id(),
      jobId: { type: DataTypes.UUID, allowNull: false },
      width: count(),
      height: count(),
      body: { type: DataTypes.BLOB('long'), allowNull: false },
    },
    { sequelize, tableName: 'photos' },
  );
  TriesRow.init(
    { key: { ...text(120), primaryKey: true }, failures: count(), lastAt: moment(), nextAt: moment() },
    { sequelize, tableName: 'sign_in_tries' },
  );
  DeviceRow.init(
    {
      device: { ...text(64), primaryKey: true },
      personId: id(),
      seenAt: moment(),
    },
    { sequelize, tableName: 'known_devices' },
  );
  StockImportRow.init(
    {
      id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      kind: text(20),
      person: json(),
      at: moment(),
      file: text(64),
      written: count(),
      skipped: count(),
    },
    { sequelize, tableName: 'store_imports' },
  );
}
