import {
  DataTypes,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';

/** A row of the vessels table. `vessel` is the vessel as JSON text. */
export interface VesselRow extends Model<
  InferAttributes<VesselRow>,
  InferCreationAttributes<VesselRow>
> {
  id: string;
  name: string;
  vessel: string;
  createdAt: CreationOptional<Date>;
  updatedAt: CreationOptional<Date>;
  deletedAt: CreationOptional<Date | null>;
}

export type VesselModel = ModelStatic<VesselRow>;

/** Deleting is soft (`paranoid`), so that it can be undone. */
export function defineVessels(sequelize: Sequelize): VesselModel {
  return sequelize.define<VesselRow>(
    'Vessel',
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      name: { type: DataTypes.STRING(80), allowNull: false },
      vessel: { type: DataTypes.TEXT, allowNull: false },
      createdAt: DataTypes.DATE,
      updatedAt: DataTypes.DATE,
      deletedAt: DataTypes.DATE,
    },
    { tableName: 'vessels', underscored: true, paranoid: true },
  );
}
