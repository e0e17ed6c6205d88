import { SUPPORTS, type Crop } from '../../catalog';
import { cropIn, type Planted, type PlanterDesign } from '../../document';
import { q, say } from '../../units';
import type { Draft, Remedy, Rule } from '../finding';
import { set } from '../patches';

/** From these heights on a climber and an upright plant do not stand by themselves, metres. */
const CLIMBS = 0.6;
const LEANS = 1.45;

/** What usually holds a crop up; nothing where it stands by itself. */
function usualSupport({ habit, height }: Crop): Planted['support'] {
  if (habit === 'climbing' && height >= CLIMBS) return 'mesh';
  return habit === 'upright' && height >= LEANS ? 'stake' : 'none';
}

export const wantsSupport: Rule = ({ design: { planting } }) =>
  planting.crops.flatMap((planted, i): Draft[] => {
    const crop = cropIn(planted);
    const usual = usualSupport(crop);
    if (planted.support !== 'none' || planted.count === 0 || usual === 'none') return [];
    const hold = (support: Planted['support']): Remedy => ({
      label: say`${SUPPORTS[support].name}`,
      patch: [set(['planting', 'crops', i, 'support'], support)],
    });
    return [
      {
        id: `support-${i}`,
        severity: 'note',
        panel: 'soil',
        text: say`Hold ${crop.name.toLowerCase()} up: it grows to ${q(crop.height, 'growth')} and does not stand by itself.`,
        propose: () => [hold(usual), hold(usual === 'stake' ? 'cage' : 'string')],
      },
    ];
  });

/** What tips it is said as less than a gust by what can be told apart, m/s. */
const LESS = 0.45;
/** From so high on there is something of a crop to tie, metres. */
const CAN_BE_TIED = 0.6;

export const tips: Rule = ({ design, figures }) => {
  const { wind } = figures;
  if (!wind || wind.empty >= wind.gust) return [];
  const { crops } = design.planting;
  const tallest = crops.reduce(
    (most, planted, i) =>
      planted.count > 0 &&
      cropIn(planted).height > (most < 0 ? 0 : cropIn(crops[most] as Planted).height)
        ? i
        : most,
    -1,
  );
  const always = wind.full < wind.gust;
  return [
    {
      id: 'tips',
      severity: always ? 'fault' : 'watch',
      panel: 'soil',
      text: say`Tie it to something firm: low on water it tips over at ${q(Math.min(wind.empty, wind.gust - LESS), 'speed')}, and gusts here reach ${q(wind.gust, 'speed')}.`,
      propose: () => steadied(design, tallest),
    },
  ];
};

/** Ways to keep it standing: held by something firm, less wind, or both. @param tallest the tallest planting, −1 for none */
function steadied({ planting, place }: PlanterDesign, tallest: number): Remedy[] {
  const planted = planting.crops[tallest];
  const hold = (support: Planted['support']) =>
    set(['planting', 'crops', tallest, 'support'], support);
  const calmer = [set(['place', 'wind'], place.wind === 'windy' ? 'breezy' : 'calm')];
  const remedies: Remedy[] = [];
  if (planted && planted.support !== 'tied' && cropIn(planted).height >= CAN_BE_TIED) {
    const name = cropIn(planted).name.toLowerCase();
    remedies.push(
      { label: say`Tie ${name} in a cage to a wall or pole`, patch: [hold('tied')] },
      { label: say`Hang ${name} from a string above`, patch: [hold('string')] },
    );
    if (place.wind === 'windy')
      remedies.push({
        label: say`Tie ${name} in a cage to a wall or pole, where it is less windy`,
        patch: [hold('tied'), ...calmer],
      });
  }
  if (place.wind !== 'calm') {
    remedies.push({ label: say`Stand it where it is less windy`, patch: calmer });
    remedies.push({ label: say`Stand it in shelter`, patch: [set(['place', 'wind'], 'calm')] });
  }
  return remedies;
}
