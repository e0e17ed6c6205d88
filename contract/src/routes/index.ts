export * from './documents';
export * from './garden';
export * from './home';
export type { Route } from './route';
