/** Why the queue takes nothing further at present. */
export interface Halted {
  why: string | null;
}
export const HALTED = ['outbox'] as const;
