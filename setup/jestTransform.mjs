import swc from '@swc/jest';
import { withWords } from './words.mjs';

/**
 * Jest runs modules in a context of their own, where every mention of a global such as Math goes through an interceptor: loops of the
 * heart ran fifty times slower there than in Node. As constants of the module they are reached at full speed.
 */
const BUILT_IN =
  'const { Math, Number, String, Object, Array, JSON, Map, Set, Float64Array, Float32Array, Int32Array, Uint32Array, Uint8Array, Infinity, NaN } = globalThis; ';

export default {
  createTransformer(options) {
    const inner = swc.createTransformer(options);
    const made = (source, path) => BUILT_IN + (withWords(source, path)?.code ?? source);
    return {
      ...inner,
      process: (source, path, ...rest) => inner.process(made(source, path), path, ...rest),
      processAsync: (source, path, ...rest) => inner.processAsync(made(source, path), path, ...rest),
      getCacheKey: (source, ...rest) => inner.getCacheKey(`words ${BUILT_IN}${source}`, ...rest),
    };
  },
};
