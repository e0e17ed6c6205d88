// Property tests draw the same cases every time, so that a failure is never a surprise in CI. Set
// HUERTA_SEED to a number to look for others.
const fc = require('fast-check');

fc.configureGlobal({ seed: Number(process.env.HUERTA_SEED ?? 20261124) });

// jsdom leaves these out, and React Router looks for them.
const { TextDecoder, TextEncoder } = require('node:util');

globalThis.TextEncoder ??= TextEncoder;
globalThis.TextDecoder ??= TextDecoder;
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
// Nothing comes into view where nothing is laid out.
globalThis.IntersectionObserver ??= class {
  observe() {}
  disconnect() {}
};

// React notes a trace for every element it makes, and Jest asks for a hundred frames of each.
Error.stackTraceLimit = 10;
