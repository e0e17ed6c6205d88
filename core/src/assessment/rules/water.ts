import { growthOf, peakOf } from '../../physics/crop';
import { baseStyle, cropIn, lipHeight, type PlanterDesign } from '../../document';
import { baseName, PART_DEFINITIONS, type Planter } from '../../assembly';
import { q, say } from '../../units';
import { AGGREGATES, type AggregateId } from '../../catalog';
import { cautiousDays } from '../daysOfWater';
import { mixBelow, rootRoom } from '../figures';
import { largerVessels } from '../largerVessel';
import type { Remedy, Rule } from '../finding';
import { downToMm, gapToKeep, highestCeiling, markRemedies, moveBase, set } from '../patches';
import { partName } from '../words';

/** Share of the height above which the soil gets short, whatever the school. */
const MUCH_WATER = 0.55;

/** A lip that would rise by less is as high as it may be, metres. */
const LITTLE = 0.005;

/** Water that lies open in a tray breeds mosquitoes and can drown a toddler. */
export const openWater: Rule = ({ design, figures }) => {
  if (design.bed?.kind !== 'bag' || design.place.rain === 'indoors') return [];
  const dries = figures.hot.open > 0 ? say`, and ${q(figures.hot.open, 'daily')} dries up` : '';
  return [
    {
      id: 'open-tray',
      severity: design.place.children ? 'danger' : 'watch',
      panel: 'water',
      text: design.place.children
        ? say`Cover the water round the bags: children or animals come near${dries}.`
        : say`Cover the water round the bags: mosquitoes breed in it${dries}.`,
    },
  ];
};

/** Mix under water above what keeps room for it: so much is watched, and so much drowns the roots that follow it. Metres. */
const SOAKED = 0.03;
const DROWNED = 0.1;

/** The highest thing that keeps the water's room open or is coarser than mix, and what it is called. */
function topOfVoids(planter: Planter): { top: number; name: string } {
  const { design, heights, partGroups } = planter;
  const supports = partGroups
    .filter((group) => group.parts.length > 0 && PART_DEFINITIONS[group.kind].bears)
    .map((group) => ({ top: group.height, name: `the ${partName(group)}` }));
  const stone = design.reservoir.fill
    .filter(({ medium }) => medium !== 'mix')
    .map(({ medium, upTo }) => ({
      top: upTo * heights.ceiling,
      name: `the ${AGGREGATES[medium as AggregateId].name.toLowerCase()}`,
    }));
  return [...supports, ...stone].reduce((a, b) => (b.top > a.top ? b : a), {
    top: 0,
    name: 'the floor',
  });
}

/** Mix that stands in water above pipes, crates or stone: roots follow it down, and find no air there. */
export const soakedMix: Rule = ({ design, planter }) => {
  const lip = planter.heights.invert;
  if (!mixBelow(design) || lip === null) return [];
  const { top, name } = topOfVoids(planter);
  const soaked = lip - top;
  if (soaked <= SOAKED) return [];
  const target = downToMm(Math.max(top, 0.005));
  return [
    {
      id: 'mix-soaked',
      severity: soaked > DROWNED ? 'fault' : 'watch',
      panel: 'water',
      text: say`Lower the lip: ${q(soaked, 'length')} of mix above ${name} stand in water, and roots that follow it get no air.`,
      propose: () => markRemedies(design, target),
    },
  ];
};

export const valveOnMains: Rule = ({ design }) =>
  design.reservoir.supply
    ? [
        {
          id: 'valve-mains',
          severity: 'note',
          panel: 'water',
          text: say`Feed the valve from a barrel: mains need a licensed plumber and a backflow guard.`,
        },
      ]
    : [];

export const waterShare: Rule = ({ design, planter: { heights }, figures }) => {
  if (figures.waterShare <= MUCH_WATER || baseStyle(design) === 'bag') return [];
  return [
    {
      id: 'water-share',
      severity: 'watch',
      panel: 'water',
      text: say`Leave the soil more: the reservoir takes ${q(heights.brim, 'length')} of ${q(heights.rim, 'length')}, and the soil gets ${q(figures.growingDepth, 'length')}.`,
      propose: () => {
        const gap = gapToKeep(design);
        const ceiling = downToMm(heights.rim * 0.4 + gap);
        return [
          {
            label: say`Lower ${baseName(design)} to ${q(ceiling, 'length')}`,
            patch: moveBase(design, ceiling, gap),
          },
        ];
      },
    },
  ];
};

export const lasting: Rule = ({ design, planter, figures }) => {
  const { place } = design;
  const lasts = figures.lastsHot;
  if (place.daysAway <= lasts.days) return [];
  // Where nothing brings water up, it is that which is to be mended, and no store is large enough.
  if (planter.wicks.length === 0 && lasts.days === 0) return [];
  const roots = rootRoom(planter);
  const said = cautiousDays(lasts.days);
  const after =
    said >= 0.5
      ? say`in hot weather it reads low after ${q(said, 'days')}`
      : say`in hot weather it reads low within half a day`;
  return [
    {
      id: 'days-short',
      severity: lasts.days < place.daysAway * 0.6 ? 'fault' : 'watch',
      panel: 'water',
      text: say`Store more water: ${after}, and you asked for ${q(place.daysAway, 'days')}.`,
      propose: () => {
        const gap = gapToKeep(design);
        const lowest = planter.heights.ceiling;
        const highest = Math.min(
          highestCeiling(design, planter.heights.rim, roots),
          planter.heights.rim * 0.5 + gap,
        );
        const raised =
          design.bed === null
            ? [0.35, 0.7, 1].map((t): Remedy => {
                const ceiling = downToMm(lowest + (highest - lowest) * t);
                return {
                  label: say`Raise ${baseName(design)} to ${q(ceiling, 'length')}, lip with it`,
                  patch: moveBase(design, ceiling, gap),
                };
              })
            : [];
        const mulch: Remedy = {
          label: say`Lay straw mulch`,
          patch: [set(['soil', 'mulch'], 'straw')],
        };
        const fewer = fewerPlants(design);
        return [
          ...raisedLip(design, lowest - gap),
          ...(design.soil.mulch === 'none' ? [mulch] : []),
          ...(highest > lowest + 0.002 ? raised : []),
          ...fewer,
          ...largerVessels(design),
        ];
      },
    },
  ];
};

/** The lip as high as it may stand under the base, where it is much lower. */
function raisedLip(design: PlanterDesign, highest: number): Remedy[] {
  const { overflow } = design;
  if (!overflow || overflow.kind === 'rim') return [];
  const lip = downToMm(highest);
  return lip < lipHeight(overflow) + LITTLE ? [] : markRemedies(design, lip);
}

/** One plant fewer of the thirstiest planting of which there are several. */
function fewerPlants({ planting }: PlanterDesign): Remedy[] {
  const { day } = peakOf(planting);
  const many = planting.crops
    .map((planted, i) => ({ planted, i, thirst: growthOf(planted, day).thirst }))
    .filter(({ planted }) => planted.count > 1)
    .sort((a, b) => b.thirst - a.thirst)[0];
  if (!many) return [];
  const { planted, i } = many;
  const { count } = planted;
  const label =
    planting.crops.length === 1
      ? say`Plant ${q(count - 1, 'count')} instead of ${q(count, 'count')}`
      : say`Plant ${q(count - 1, 'count')} instead of ${q(count, 'count')} of ${cropIn(planted).name.toLowerCase()}`;
  return [{ label, patch: [set(['planting', 'crops', i, 'count'], count - 1)] }];
}
