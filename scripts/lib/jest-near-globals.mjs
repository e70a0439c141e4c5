import { createTransformer } from '@swc/jest';

/**
 * Tests run in sandboxes, where every look-up of a global by name is slow: hot loops crawl over `Math`, deep walks over
 * `Object`. Each module gets its own constants for them, on the first line so that no line number moves.
 */
const near = (code) => `const { Math, Object } = globalThis; ${code}`;

const nearResult = (result) => (typeof result === 'string' ? near(result) : { ...result, code: near(result.code) });

/** For packages that come as plain JavaScript. */
const plain = { process: (code) => ({ code: near(code) }) };

/** Plain JavaScript when no options are given; else TypeScript by SWC with those options. */
export default {
  createTransformer: (options) => {
    if (options?.jsc === undefined) return plain;
    const swc = createTransformer(options);
    return {
      ...swc,
      process: (...given) => nearResult(swc.process(...given)),
      processAsync: async (...given) => nearResult(await swc.processAsync(...given)),
    };
  },
};
