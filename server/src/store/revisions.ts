import {
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';

/** A row of planter_revisions: the document of a planter as it was before a save. */
interface RevisionRow extends Model<
  InferAttributes<RevisionRow>,
  InferCreationAttributes<RevisionRow>
> {
  planterId: string;
  revision: number;
  design: string;
  /** When that revision was written. */
  createdAt: Date;
}

export type RevisionModel = ModelStatic<RevisionRow>;

export function defineRevisions(sequelize: Sequelize): RevisionModel {
  return sequelize.define<RevisionRow>(
    'PlanterRevision',
    {
      planterId: { type: DataTypes.UUID, primaryKey: true },
      revision: { type: DataTypes.INTEGER, primaryKey: true },
      design: { type: DataTypes.TEXT, allowNull: false },
      createdAt: { type: DataTypes.DATE, allowNull: false },
    },
    { tableName: 'planter_revisions', underscored: true, timestamps: false },
  );
}
