import {
  DataTypes,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';

/** A document kept as JSON text under a key; the last one saved holds. */
interface TextRow extends Model<InferAttributes<TextRow>, InferCreationAttributes<TextRow>> {
  key: string;
  text: string;
  createdAt: CreationOptional<Date>;
  updatedAt: CreationOptional<Date>;
}
export type TextModel = ModelStatic<TextRow>;

function defineTexts(
  sequelize: Sequelize,
  tableName: string,
  key: string,
  text: string,
): TextModel {
  return sequelize.define<TextRow>(
    tableName,
    {
      key: { type: DataTypes.STRING, field: key, primaryKey: true },
      text: { type: DataTypes.TEXT, field: text, allowNull: false },
      createdAt: DataTypes.DATE,
      updatedAt: DataTypes.DATE,
    },
    { tableName, underscored: true },
  );
}

/** The garden's choice of weather; its only row has the id 1. */
export const defineWeather = (sequelize: Sequelize): TextModel =>
  defineTexts(sequelize, 'weather', 'id', 'choice');

/** What is meant to be done in each planter's season, by planter. */
export const defineSeasons = (sequelize: Sequelize): TextModel =>
  defineTexts(sequelize, 'seasons', 'planter_id', 'plan');
