export { forecastFrom, goesShort, type Forecast } from './ahead';
export { dayOutOf, fillUp, settingOf, throughDay, type FilterSetting } from './daily';
export { beginning, type Story, type Surprise } from './follow';
export { followKept, storyKeeper } from './keeper';
export { roomIn } from './observe';
export { copyOf, evenly, spreadOver, type Particles, type Quantiles } from './particles';
export { WEATHERS, weathersOf, type Weathers } from './weathers';
