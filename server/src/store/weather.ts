import {
  DataTypes,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';

/** The garden's choice of weather as JSON text; there is one row. */
interface WeatherRow extends Model<
  InferAttributes<WeatherRow>,
  InferCreationAttributes<WeatherRow>
> {
  id: number;
  choice: string;
  createdAt: CreationOptional<Date>;
  updatedAt: CreationOptional<Date>;
}
export type WeatherModel = ModelStatic<WeatherRow>;

export function defineWeather(sequelize: Sequelize): WeatherModel {
  return sequelize.define<WeatherRow>(
    'Weather',
    {
      id: { type: DataTypes.INTEGER, primaryKey: true },
      choice: { type: DataTypes.TEXT, allowNull: false },
      createdAt: DataTypes.DATE,
      updatedAt: DataTypes.DATE,
    },
    { tableName: 'weather', underscored: true },
  );
}
