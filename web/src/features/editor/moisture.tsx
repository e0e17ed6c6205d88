import { fieldFinding, withMoisture, type FieldPicture } from '@huerta/core/simulation/moisture';
import type { Finding } from '@huerta/core/assessment';
import type { PlanterDesign } from '@huerta/core/document';
import { createContext, use, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useCarries, useField } from '../../compute/field';
import type { FieldAsked } from '../../compute/tasks';
import { useEditor } from './editorState';

/** Moisture that is painted on the section and on the plan. */
export interface MoistureShown {
  /** Whose it is: another design is not painted with it. */
  design: PlanterDesign;
  /** Height at which the water stands, metres. */
  level: number;
  section: FieldPicture;
  plan: FieldPicture;
}

interface Moisture {
  finding: Finding | null;
  shown: MoistureShown | null;
  show(what: MoistureShown | null): void;
  /** Whether somebody looks at it. */
  open: boolean;
  setOpen(open: boolean): void;
}

const MoistureContext = createContext<Moisture>({
  finding: null,
  shown: null,
  show: () => undefined,
  open: false,
  setOpen: () => undefined,
});

/** A design that nothing changed for so long is looked at, milliseconds. */
const REST_MS = 2000;

/** Looks at where the water gets to whenever the design is at rest, and shares what is painted of it. */
export function WithMoisture({ children }: { children: ReactNode }) {
  const { design } = useEditor();
  const [shown, show] = useState<MoistureShown | null>(null);
  const [open, setOpen] = useState(false);
  const finding = useMoistureFinding(design);
  const moisture = useMemo(() => ({ finding, shown, show, open, setOpen }), [finding, shown, open]);
  return <MoistureContext value={moisture}>{children}</MoistureContext>;
}

/** What a hot day at the full mark says of a design; the last that was said while a new one is worked out. */
function useMoistureFinding(design: PlanterDesign): Finding | null {
  const [rested, setRested] = useState<PlanterDesign | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setRested(design), REST_MS);
    return () => clearTimeout(timer);
  }, [design]);
  // What is worked out while a line begins to move is given up, so as not to hold it up.
  const asked = useMemo(() => (rested === design ? fullOnAHotDay(design) : null), [rested, design]);
  const field = useField(asked);
  const found = useMemo(() => field.value && fieldFinding(field.value, []), [field.value]);
  const carried = useCarries(asked, found !== null && field.current);
  const current = rested === design && field.current && carried.current;
  return useMemo(
    () => field.value && fieldFinding(field.value, (current && carried.value) || []),
    [field.value, carried.value, current],
  );
}

/** The question that the finding answers. */
const fullOnAHotDay = (design: PlanterDesign): FieldAsked => ({
  design,
  share: 1,
  day: 'hot',
});

/** What is painted on this design now, if anything. */
export function useMoisture(): MoistureShown | null {
  const { design } = useEditor();
  const { shown } = use(MoistureContext);
  return shown?.design === design ? shown : null;
}

/** Whether somebody looks at it, and what is painted on section and plan meanwhile. */
export const useMoisturePanel = (): Pick<Moisture, 'open' | 'setOpen' | 'show'> =>
  use(MoistureContext);

/** All findings, worst first: those of the bench, and what the moisture says. */
export function useFindings(): readonly Finding[] {
  const { assessment } = useEditor();
  const { finding } = use(MoistureContext);
  const { findings } = assessment;
  return useMemo(() => withMoisture(findings, finding), [findings, finding]);
}
