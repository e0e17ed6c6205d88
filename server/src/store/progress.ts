import {
  DataTypes,
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
