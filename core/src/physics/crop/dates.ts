import { datesOf, type Life } from '../../catalog';
import { cropIn, type Planted } from '../../document';

/** When a planting bears and how long it stands: from seed in its place, from a plant raised at home, or bought. */

type Entry = Pick<Planted, 'crop' | 'own' | 'start'>;

const YEAR = 365;
/** Plants raised at home are set out smaller than those that are sold, and are behind by so many days. Typical. */
const BEHIND = 7;

const sum = (stages: readonly number[]): number => stages.reduce((all, days) => all + days, 0);

/** How long what stays for years lives; null for what is over in a season. */
export const lifeOf = ({ crop }: Pick<Planted, 'crop'>): Life | null => datesOf(crop).life;

/** Days by which a planting is behind one that was bought as a plant. */
export function behind({ crop, own, start }: Entry): number {
  const { seed, plant } = datesOf(crop);
  const days =
    plant === null || start === 'bought'
      ? 0
      : start === 'raised'
        ? BEHIND
        : seed === null
          ? 0
          : Math.max(seed - plant, 0);
  return own ? Math.round(days * paceOf({ crop, own })) : days;
}

/** How many times the catalogue's days a crop of one's own takes. */
const paceOf = ({ crop, own }: Pick<Planted, 'crop' | 'own'>): number =>
  own ? sum(own.stages) / sum(cropIn({ crop, own: null }).stages) : 1;

/** Days from the day on which it comes into the planter to its first harvest. */
export function firstHarvest(planted: Entry): number {
  const { seed, plant, life } = datesOf(planted.crop);
  const quickest = Math.round((plant ?? seed ?? 0) * paceOf(planted));
  const years = life ? life.first - 1 : 0;
  // What bears in a later year is grown by then, however it began.
  return years > 0 ? years * YEAR + quickest : quickest + behind(planted);
}

/** Days to the end of the first harvest. */
export function lastPick(planted: Entry): number {
  const life = lifeOf(planted);
  const years = life ? life.first - 1 : 0;
  const season = sum(cropIn(planted).stages);
  return years > 0 ? years * YEAR + season : season + behind(planted);
}

/** Days until a planting is over: cleared, ripe, or the end of the first year in which it bears. */
export function standsFor(planted: Entry & Pick<Planted, 'stays'>): number {
  const life = lifeOf(planted);
  return planted.stays ?? Math.max(lastPick(planted), life ? life.first * YEAR : 0);
}
