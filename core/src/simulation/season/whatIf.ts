import type { WeatherDay } from '../../physics/climate';
import { addsNoFault, faultsOf } from '../../assessment';
import { MULCHES } from '../../catalog';
import type { Patch, PlanterDesign } from '../../document';
import { q, say, type Message } from '../../units';
import type { SeasonOptions } from './run';

/** Something that could be otherwise, in the planter, in its weather, or by mishap. */
export interface WhatIf {
  id: string;
  label: Message;
  /** The change of the design; empty when only weather or luck differs. */
  patch: Patch;
  options: Partial<SeasonOptions>;
  weather(days: readonly WeatherDay[]): WeatherDay[];
}

/** A downpour of two days, metres of rain on each, and a heat wave. Typical of what people fear. */
const DOWNPOUR = 0.06;
const HEAT = { days: 7, factor: 1.4 };
const MORE_WATER = 0.02;
/** The middle of a season, when plants are grown. */
const MIDDLE = 0.5;

const same = (days: readonly WeatherDay[]): WeatherDay[] => [...days];
const middleOf = (days: readonly WeatherDay[]): number => Math.floor(days.length * MIDDLE);

/** What is worth asking of a design; changes that it cannot take, or that bring a fault, are left out. */
export function whatIfs(design: PlanterDesign): WhatIf[] {
  const { place, soil, wicks, overflow, planting, reservoir } = design;
  const change = (id: string, label: string | Message, patch: Patch): WhatIf => ({
    id,
    label: typeof label === 'string' ? [label] : label,
    patch,
    options: {},
    weather: same,
  });
  const mishap = (
    id: string,
    label: string,
    options: Partial<SeasonOptions>,
    weather: WhatIf['weather'] = same,
  ): WhatIf => ({ id, label: [label], patch: [], options, weather });
  const all: (WhatIf | null)[] = [
    place.rain === 'open'
      ? change('covered', 'Covered against the rain', [
          { path: ['place', 'rain'], value: 'covered' },
        ])
      : change('open', 'Open to the rain', [{ path: ['place', 'rain'], value: 'open' }]),
    soil.mulch === 'none'
      ? change('mulch', 'Mulched with straw', [{ path: ['soil', 'mulch'], value: 'straw' }])
      : soil.mulch === 'straw'
        ? change('cover', 'A cover instead of straw', [{ path: ['soil', 'mulch'], value: 'cover' }])
        : null,
    soil.mulch === 'none'
      ? null
      : change('bare', say`Without the ${MULCHES[soil.mulch].name.toLowerCase()}`, [
          { path: ['soil', 'mulch'], value: 'none' },
        ]),
    wicks.length > 0 ? change('wick', 'Twice the wick', twice(wicks)) : null,
    overflow && overflow.kind !== 'rim'
      ? change('deeper', say`Base and overflow ${q(MORE_WATER, 'length')} higher`, [
          { path: ['reservoir', 'top'], value: reservoir.top + MORE_WATER },
          { path: ['overflow', 'centre'], value: overflow.centre + MORE_WATER },
        ])
      : null,
    planting.crops.some(({ count }) => count > 1)
      ? change(
          'second',
          'Half the plants, the others in a second planter',
          planting.crops.map(({ count }, i) => ({
            path: ['planting', 'crops', i, 'count'],
            value: Math.ceil(count / 2),
          })),
        )
      : null,
    place.sun === 'full'
      ? change('shade', 'Moved to where it has half the day’s sun', [
          { path: ['place', 'sun'], value: 'half' },
        ])
      : change('sun', 'Moved into full sun', [{ path: ['place', 'sun'], value: 'full' }]),
    mishap('clogged', 'The overflow clogs', { clogged: true }),
    mishap('broken', 'The wick breaks', { broken: true }),
    mishap('downpour', 'A downpour of two days', {}, (days) => {
      const at = middleOf(days);
      return days.map((day, i) =>
        i === at || i === at + 1 ? { ...day, rain: day.rain + DOWNPOUR } : day,
      );
    }),
    mishap('heat', 'A heat wave of a week', {}, (days) => {
      const at = middleOf(days);
      return days.map((day, i) =>
        i >= at && i < at + HEAT.days
          ? { ...day, et: day.et * HEAT.factor, tMax: day.tMax + 5 }
          : day,
      );
    }),
  ];
  const faults = faultsOf(design);
  return all.filter(
    (one): one is WhatIf =>
      one !== null && (one.patch.length === 0 || addsNoFault(design, one.patch, faults)),
  );
}

/** Several of them at once. */
export function allOf(list: readonly WhatIf[]): WhatIf {
  return {
    id: 'together',
    label: ['All that is ticked'],
    patch: list.flatMap(({ patch }) => patch),
    options: Object.assign({}, ...list.map(({ options }) => options)) as WhatIf['options'],
    weather: (days) => list.reduce((changed, one) => one.weather(changed), same(days)),
  };
}

function twice(wicks: PlanterDesign['wicks']): Patch {
  return wicks.map((wick, i) =>
    wick.kind === 'cloth'
      ? { path: ['wicks', i, 'legs'], value: wick.legs * 2 }
      : { path: ['wicks', i, 'count'], value: wick.count * 2 },
  );
}
