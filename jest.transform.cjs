// TypeScript by SWC, and what is asked of the language most often by a name of the module's own: in Jest's
// sandbox each look-up of a global goes through the sandbox, which takes longer than most sums do. Never
// what a test may put another in the place of (Date, fetch, timers).
const { createHash } = require('node:crypto');
const { createTransformer } = require('@swc/jest');

const NAMES = [
  ...['Math', 'Number', 'String', 'Object', 'Array', 'Map', 'Set', 'WeakMap', 'JSON'],
  ...['Float64Array', 'Infinity', 'NaN'],
];
const OWN = `const ${NAMES.map((name) => `${name} = globalThis.${name}`).join(', ')};`;
/** The directive that a module begins with, after the comments before it. */
const STRICT = /^(?:\s|\/\*[\s\S]*?\*\/|\/\/[^\n]*\n)*"use strict";/;

module.exports = {
  createTransformer(options) {
    const swc = createTransformer(options);
    return {
      ...swc,
      process(source, file, asked) {
        const { code, ...rest } = swc.process(source, file, asked);
        // On the line of the directive, so that all others keep their numbers.
        return { ...rest, code: code.replace(STRICT, (strict) => `${strict}${OWN}`) };
      },
      getCacheKey: (...asked) =>
        createHash('sha256')
          .update(swc.getCacheKey(...asked))
          .update(OWN + STRICT)
          .digest('hex'),
    };
  },
};
