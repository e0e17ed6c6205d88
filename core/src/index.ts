/** Huerta's heart: the design document, its physics, its checks and its drawings. Pure TypeScript. */
export * from './quantity';
export * from './catalog';
export * from './design';
export * from './vessel';
export * from './reservoir';
export * from './soil';
export * from './wick';
export * from './climate';
export * from './planter';
export * from './crop';
export * from './assess';
export * from './season';
export * from './tend';
export * from './field';
export * from './workshop';
export * from './search';
export * from './draw';
