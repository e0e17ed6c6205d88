import {
  DataTypes,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';

/** A row of the planters table. `design` is the document as JSON text. */
export interface PlanterRow extends Model<
  InferAttributes<PlanterRow>,
  InferCreationAttributes<PlanterRow>
> {
  id: string;
  name: string;
  design: string;
  revision: number;
  /** Of the save that wrote it, given by the device; null for one that gave none. */
  saveId: CreationOptional<string | null>;
  createdAt: CreationOptional<Date>;
  updatedAt: CreationOptional<Date>;
  deletedAt: CreationOptional<Date | null>;
}

export type PlanterModel = ModelStatic<PlanterRow>;

/** Deleting is soft (`paranoid`), so that it can be undone. */
export function definePlanters(sequelize: Sequelize): PlanterModel {
  return sequelize.define<PlanterRow>(
    'Planter',
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      name: { type: DataTypes.STRING(120), allowNull: false },
      design: { type: DataTypes.TEXT, allowNull: false },
      revision: { type: DataTypes.INTEGER, allowNull: false },
      saveId: { type: DataTypes.UUID, allowNull: true },
      createdAt: DataTypes.DATE,
      updatedAt: DataTypes.DATE,
      deletedAt: DataTypes.DATE,
    },
    { tableName: 'planters', underscored: true, paranoid: true },
  );
}
