export { forecastFrom, goesShort, type Forecast } from './forecast';
export { fillingsAhead, type FillingAhead } from './fillings';
export { dayBuffers, fillUp, filterSetting, advanceDay, type FilterSetting } from './daily';
export { initialEstimate, type Estimate, type UnexplainedReading } from './estimator';
export { runFilterCached, estimateCache } from './estimateCache';
export { freeVolume } from './measurement';
export { copyParticles, evenly, quantilesOf, type Particles, type Quantiles } from './particles';
export { WEATHERS, weatherEnsemble, type WeatherEnsemble } from './weathers';
