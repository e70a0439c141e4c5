import { createTransformer } from '@swc/jest';

/** What hot loops and deep walks look up; no clocks, which tests may put others in the place of. */
const names = [
  ...['Array', 'Float32Array', 'Float64Array', 'Infinity', 'Int32Array', 'Map', 'Math', 'NaN', 'Number', 'Object'],
  ...['Set', 'Uint32Array', 'Uint8Array', 'Uint8ClampedArray'],
];

/** A module may have something of its own by such a name, an icon of a map say. */
const isOwn = (code, name) =>
  new RegExp(`(import|export)\\b[^;'"]*\\b${name}\\b[^;'"]*from|(const|let|class|function)\\s+${name}\\b`).test(code);

/**
 * Tests run in sandboxes, where every look-up of a global by name is slow: hot loops crawl over `Math`, deep walks over
 * `Object`. Each module gets its own constants for them, on the first line so that no line number moves.
 */
const near = (code) => {
  const wanted = names.filter((name) => new RegExp(`\\b${name}\\b`).test(code) && !isOwn(code, name));
  return wanted.length === 0 ? code : `const { ${wanted.join(', ')} } = globalThis; ${code}`;
};

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
