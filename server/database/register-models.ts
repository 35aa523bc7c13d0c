import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';

/** The longest word that is kept. */
export const MOST_LETTERS = 100;

/** What a valve is found by, a row a word. */
export class WordRow extends Model<InferAttributes<WordRow>, InferCreationAttributes<WordRow>> {
  declare word: string;
  declare tag: string;
  declare valveId: string;
}

/** Words that many valves share: what something typed may be the beginning of. */
export class SharedWordRow extends Model<
  InferAttributes<SharedWordRow>,
  InferCreationAttributes<SharedWordRow>
> {
  declare word: string;
}

/** What was changed of a valve outside of any job: where it stands, and where it is. */
export class ValveChangeRow extends Model<
  InferAttributes<ValveChangeRow>,
  InferCreationAttributes<ValveChangeRow>
> {
  declare id: CreationOptional<number>;
  declare valveId: string;
  declare at: Date;
  declare person: string;
  declare what: string;
}

export function defineRegisterModels(sequelize: Sequelize): void {
  WordRow.init(
    {
      word: { type: DataTypes.STRING(MOST_LETTERS, true), primaryKey: true },
      tag: { type: DataTypes.STRING(40), primaryKey: true },
      valveId: { type: DataTypes.UUID, primaryKey: true },
    },
    { sequelize, tableName: 'valve_words' },
  );
  SharedWordRow.init(
    { word: { type: DataTypes.STRING(24, true), primaryKey: true } },
    { sequelize, tableName: 'shared_words' },
  );
  ValveChangeRow.init(
    {
      id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      valveId: { type: DataTypes.UUID, allowNull: false },
      at: { type: DataTypes.DATE(3), allowNull: false },
      person: { type: DataTypes.TEXT, allowNull: false },
      what: { type: DataTypes.STRING(240), allowNull: false },
    },
    { sequelize, tableName: 'valve_changes' },
  );
}
