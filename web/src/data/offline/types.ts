import type { DocumentKind } from '@huerta/contract';
import type { OwnCrops, PlanterDesign, VesselDesign } from '@huerta/core/document';
import type { PriceBook, ProgressEntry } from '@huerta/core/fabrication';
import type { RoundPlan, TendedState } from '@huerta/core/journal';
import type { WeatherChoice } from '@huerta/core/physics/climate';
import type { SeasonPlan } from '@huerta/core/simulation/season';
/** What lies in the browser's own database, by kind. */

/** What is saved of each kind of document. */
export interface Bodies extends Record<DocumentKind, object> {
  planter: { design: PlanterDesign };
  vessel: { name: string; vessel: VesselDesign };
  prices: { book: PriceBook };
  weather: { choice: WeatherChoice };
  season: { plan: SeasonPlan };
  crops: { own: OwnCrops };
  round: { plan: RoundPlan };
}

/** A document that waits to be sent. */
export interface PendingSave<K extends DocumentKind = DocumentKind> {
  /** `kind/id/holder`: each bench keeps its own; what no bench holds has no holder. */
  key: string;
  kind: K;
  id: string;
  /** The bench that works on it, which sends it itself while it is open. */
  holder: string;
  /** The revision that it is based on. */
  base: number;
  /** The save that it is sent as, and those before it whose answers may be lost. */
  saveId: string;
  after: string[];
  body: Bodies[K];
  /** When it was kept, milliseconds. */
  at: number;
  /** The server has another version: a person has to choose. */
  clash?: { revision: number; body: Bodies[K] };
}

/** Marks of the build of one planter that have not reached the server yet. */
export interface PendingProgress {
  planter: string;
  entries: ProgressEntry[];
}

/**
 * What the server refused for good, by the very thing that it refused: a save, an entry, a mark, a photo. The thing
 * itself stays where it waits, and is not sent again until somebody says so.
 */
export interface Refused {
  key: string;
  status: number | null;
  /** The server's sentence. */
  why: string;
  at: number;
}

/** How a planter stood when it was last worked out, and what that hung on. */
export interface KnownState {
  planter: string;
  /** Which Huerta worked it out. */
  program: string;
  by: string;
  state: TendedState | null;
}

/** A picture that waits to be sent. */
export interface PendingPhoto {
  id: string;
  picture: Blob;
}

/** An answer of the server as it was last seen. */
export interface CachedResponse {
  path: string;
  at: number;
  answer: unknown;
}
