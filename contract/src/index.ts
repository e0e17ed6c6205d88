/** The HTTP resources of the API, built from core's definitions. Server and web both read these. */
export * from './backup';
export * from './build';
export * from './document';
export * from './access';
export * from './planterSummary';
export * from './garden';
export * from './log';
export * from './pages';
export * from './planter';
export * from './problem';
export * from './refusal';
export * from './vessel';
export * from './report';
export * from './routes';
