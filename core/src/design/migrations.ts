import { DESIGN_VERSION } from './schema';

/** A document of any version, of which only the version is known. */
export type AnyDocument = { version: number } & Record<string, unknown>;

/** Turns a document of version `from` into one of version `from + 1`, without touching its input. */
export type MigrationStep = (document: AnyDocument) => Record<string, unknown>;

/**
 * One step for each version that was ever written to a file or a database, keyed by the version it
 * starts from. Version 1 is the first, so the table begins empty.
 */
export const STEPS: Readonly<Record<number, MigrationStep>> = {};

/**
 * Brings a document up to `target` step by step.
 *
 * @throws Error when a step is missing, which is a bug and not something a user can cause
 */
export function migrate(
  document: AnyDocument,
  steps: Readonly<Record<number, MigrationStep>> = STEPS,
  target: number = DESIGN_VERSION,
): AnyDocument {
  let current = document;
  while (current.version < target) {
    const step = steps[current.version];
    if (!step) throw new Error(`No migration from design version ${current.version}`);
    current = { ...step(current), version: current.version + 1 };
  }
  return current;
}
