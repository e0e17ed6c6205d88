import { planterDesignSchema, type PlanterDesign } from '@huerta/core/document';
import { useState } from 'react';
import { useLocation } from 'react-router';

/** A planter that was begun and is not in the garden yet: it goes with the address of its bench, in the browser's history. */
export interface BegunState {
  begun: PlanterDesign;
}

function readBegun(state: unknown): PlanterDesign | null {
  const { begun } = (state ?? {}) as Partial<BegunState>;
  return planterDesignSchema.safeParse(begun).data ?? null;
}

/** The design that a bench was opened with, as long as it stays open. @param id of its planter */
export function useBegun(id: string): PlanterDesign | null {
  const { state } = useLocation() as { state: unknown };
  const [opened, setOpened] = useState(() => ({ id, design: readBegun(state) }));
  if (opened.id === id) return opened.design;
  const next = { id, design: readBegun(state) };
  setOpened(next);
  return next.design;
}
