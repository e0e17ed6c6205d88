/** The HTTP resources of the API, built from core's definitions. Server and web both read these. */
export * from './build';
export * from './planter';
export * from './problem';
export * from './vessel';
export * from './report';
