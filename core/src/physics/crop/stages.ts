import type { Crop } from '../../catalog';

/** A crop on a day after planting. */
export interface Stage {
  name: 'young' | 'growing' | 'grown' | 'ripening' | 'over';
  /** Crop coefficient. */
  kc: number;
  /** Share of its grown foliage, 0 to 1, and of its roots' depth. */
  cover: number;
  roots: number;
}

/** What a young plant covers of its grown foliage, and how deep its roots are of theirs. Typical. */
const YOUNG_COVER = 0.12;
const YOUNG_ROOTS = 0.35;

/**
 * Crop coefficient by FAO-56's four stages (Allen and others 1998, figure 34): level, rising, level,
 * falling. Foliage and roots grow over the first two; ripening leaves keep three quarters of their cover.
 *
 * @param day after planting, 0 on the day itself
 */
export function stageIn(
  { kc, kcStart, kcEnd, stages }: Pick<Crop, 'kc' | 'kcStart' | 'kcEnd' | 'stages'>,
  day: number,
): Stage {
  const [young, growing, grown, ripening] = stages;
  if (day < young) {
    const t = Math.max(day, 0) / young;
    return {
      name: 'young',
      kc: kcStart,
      cover: YOUNG_COVER * (1 + t),
      roots: YOUNG_ROOTS * (1 + 0.3 * t),
    };
  }
  const cover0 = 2 * YOUNG_COVER;
  const roots0 = 1.3 * YOUNG_ROOTS;
  if (day < young + growing) {
    const t = (day - young) / growing;
    return {
      name: 'growing',
      kc: kcStart + (kc - kcStart) * t,
      cover: cover0 + (1 - cover0) * t,
      roots: roots0 + (1 - roots0) * t,
    };
  }
  if (day < young + growing + grown) return { name: 'grown', kc, cover: 1, roots: 1 };
  const t = (day - young - growing - grown) / ripening;
  if (t <= 1) {
    return { name: 'ripening', kc: kc + (kcEnd - kc) * t, cover: 1 - 0.25 * t, roots: 1 };
  }
  return { name: 'over', kc: kcEnd, cover: 0.75, roots: 1 };
}
