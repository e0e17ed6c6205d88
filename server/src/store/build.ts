import {
  DataTypes,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';

/** One entry of a build's progress. `value` is JSON text, `at` an ISO time in full. */
export interface ProgressRow extends Model<
  InferAttributes<ProgressRow>,
  InferCreationAttributes<ProgressRow>
> {
  planterId: string;
  key: string;
  value: string;
  at: string;
}
export type ProgressModel = ModelStatic<ProgressRow>;

export function defineProgress(sequelize: Sequelize): ProgressModel {
  return sequelize.define<ProgressRow>(
    'Progress',
    {
      planterId: { type: DataTypes.UUID, primaryKey: true },
      key: { type: DataTypes.STRING(80), primaryKey: true },
      value: { type: DataTypes.TEXT, allowNull: false },
      at: { type: DataTypes.STRING(24), allowNull: false },
    },
    { tableName: 'progress', underscored: true, timestamps: false },
  );
}

/** The price book as JSON text; there is one row. */
interface PriceBookRow extends Model<
  InferAttributes<PriceBookRow>,
  InferCreationAttributes<PriceBookRow>
> {
  id: number;
  revision: number;
  book: string;
  createdAt: CreationOptional<Date>;
  updatedAt: CreationOptional<Date>;
}
export type PriceBookModel = ModelStatic<PriceBookRow>;

export function definePriceBooks(sequelize: Sequelize): PriceBookModel {
  return sequelize.define<PriceBookRow>(
    'PriceBook',
    {
      id: { type: DataTypes.INTEGER, primaryKey: true },
      revision: { type: DataTypes.INTEGER, allowNull: false },
      book: { type: DataTypes.TEXT, allowNull: false },
      createdAt: DataTypes.DATE,
      updatedAt: DataTypes.DATE,
    },
    { tableName: 'price_books', underscored: true },
  );
}
