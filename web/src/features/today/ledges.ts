import type { PlanterResource } from '@huerta/contract';
import { besideWidth, glassHeight, SIGN } from '../../drawing/StandingPlanter';
import { vesselSize } from '../../drawing/vesselSize';

/** How planters stand on ledges: in their order, each ledge at one scale. */

/** Tallest drawing, without the sign above it, and lowest that is still recognised, pixels. */
const TALL = 156;
const LEAST_TALL = 40;
/** Room that the words below a planter take at least, and that parts it from the next one, pixels. */
const LEAST_WIDE = 184;
const GAP = 20;
/** A ledge ends where the next planter would make the others smaller than this share of what they were. */
const SHRINKS = 0.68;
/** What stands beside each drawing on a ledge, pixels. */
const BESIDE = besideWidth('large');
/** The most that stand on one ledge. */
const MOST = 6;

/** On a phone: the largest drawing of a row of its own, and of two that share one, pixels. */
const ROW = { wide: 92, high: 84 };
const SHARED = { wide: 50, high: 58 };
/** Width below which each planter has a row instead of a place on a ledge, pixels. */
export const NARROW = 640;

/** A planter's place on a ledge, pixels. */
export interface Place {
  planter: PlanterResource;
  /** Of its section, and of all that belongs to it. */
  wide: number;
  width: number;
}
export interface LedgeLayout {
  /** How its planters stand: side by side, one with its words beside it, or two that want nothing. */
  form: 'ledge' | 'row' | 'shared';
  /** Pixels per metre. */
  scale: number;
  height: number;
  places: Place[];
}

/** Puts planters on one ledge. @param width of the ledge, pixels */
function ledgeOf(planters: readonly PlanterResource[], width: number): LedgeLayout {
  const sizes = planters.map(({ design }) => vesselSize(design));
  const high = Math.max(...sizes.map((one) => one.high));
  const total = sizes.reduce((sum, { wide }) => sum + wide, 0);
  const free = width - planters.length * (BESIDE + GAP);
  const least = (scale: number) =>
    sizes.reduce((sum, { wide }) => sum + Math.max(wide * scale + BESIDE, LEAST_WIDE) + GAP, 0);
  let scale = Math.min(TALL / high, free / total);
  // Words need their room, too: then the drawings give way.
  while (scale * high > LEAST_TALL && least(scale) > width) scale *= 0.95;
  return {
    form: 'ledge',
    scale,
    height: Math.round(scale * high) + SIGN,
    places: planters.map((planter, i) => {
      const wide = Math.ceil((sizes[i] as { wide: number }).wide * scale);
      return { planter, wide, width: Math.max(wide + BESIDE, LEAST_WIDE) };
    }),
  };
}

/** Whether all that stands on a ledge has its room and can be recognised. */
function fits({ scale, places }: LedgeLayout, width: number): boolean {
  const used = places.reduce((sum, place) => sum + place.width + GAP, 0);
  const lowest = Math.min(...places.map(({ planter }) => vesselSize(planter.design).high));
  return used <= width && lowest * scale >= LEAST_TALL;
}

/** Planters in their order on as few ledges as show them well. @param width of a ledge, pixels */
export function ledgesOf(planters: readonly PlanterResource[], width: number): LedgeLayout[] {
  const ledges: LedgeLayout[] = [];
  let now: LedgeLayout | null = null;
  for (const planter of planters) {
    const more: LedgeLayout = ledgeOf(
      [...(now ? now.places.map((place) => place.planter) : []), planter],
      width,
    );
    const shrinks = now !== null && more.scale < SHRINKS * now.scale;
    if (now && (shrinks || now.places.length >= MOST || !fits(more, width))) {
      ledges.push(now);
      now = ledgeOf([planter], width);
    } else now = more;
  }
  return now ? [...ledges, now] : ledges;
}

/** Planters that share a row at one scale, or one that has it to itself. */
function rowOf(planters: readonly PlanterResource[], form: 'row' | 'shared'): LedgeLayout {
  const sizes = planters.map(({ design }) => vesselSize(design));
  const most = form === 'row' ? ROW : SHARED;
  const scale = Math.min(
    ...sizes.map(({ wide, high }) => Math.min(most.wide / wide, most.high / high)),
  );
  const high = Math.max(...sizes.map((one) => one.high));
  return {
    form,
    scale,
    height:
      Math.max(Math.round(scale * high), glassHeight('small')) + (form === 'row' ? SIGN - 10 : 0),
    places: planters.map((planter) => ({
      planter,
      wide: most.wide,
      width: most.wide + besideWidth('small'),
    })),
  };
}

/**
 * Rows of a phone in the order of the walk: who wants something has one, two neighbours who want nothing share one.
 *
 * @param wants whether a planter wants something, or is opened
 */
export function rowsOf(
  planters: readonly PlanterResource[],
  wants: (planter: PlanterResource) => boolean,
): LedgeLayout[] {
  const rows: LedgeLayout[] = [];
  let waiting: PlanterResource[] = [];
  const share = (): void => {
    if (waiting.length > 0) rows.push(rowOf(waiting, 'shared'));
    waiting = [];
  };
  for (const planter of planters) {
    if (wants(planter)) {
      share();
      rows.push(rowOf([planter], 'row'));
    } else {
      waiting.push(planter);
      if (waiting.length === 2) share();
    }
  }
  share();
  return rows;
}
