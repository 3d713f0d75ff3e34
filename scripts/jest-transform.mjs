import swc from '@swc/jest';

/**
 * In the rooms that tests are run in, a global costs some hundred times what a constant costs. What the core
 * uses in its inmost loops is read once for each module, on its first line, so that lines stay as they are.
 */
const NAMES = ['Math', 'Number', 'Infinity', 'Float32Array', 'Float64Array', 'Uint8Array'];

const withConstants = (result) => {
  const taken = (name) =>
    new RegExp(`\\b(import|const|class|function)\\b[^;=(]*\\b${name}\\b`).test(result.code);
  const names = NAMES.filter((name) => result.code.includes(name) && !taken(name));
  return names.length === 0
    ? result
    : { ...result, code: `const { ${names.join(', ')} } = globalThis; ${result.code}` };
};

const transformer = {
  createTransformer(options) {
    const inner = swc.createTransformer(options);
    return {
      ...inner,
      process: (...args) => withConstants(inner.process(...args)),
      processAsync: async (...args) => withConstants(await inner.processAsync(...args)),
      getCacheKey: (...args) => `constants-1-${inner.getCacheKey(...args)}`,
    };
  },
};
export default transformer;
