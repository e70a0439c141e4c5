import vm from 'node:vm';
import { TestEnvironment } from 'jest-environment-node';

const linesOfStack = 15;

/**
 * Node's test environment in a context whose globals are plain ones. The usual context asks a handler at each look-up of
 * a global by name, `Math` say, and a loop over numbers takes a hundred times as long.
 */
export default class PlainEnvironment extends TestEnvironment {
  constructor(...given) {
    const { createContext } = vm;
    // Before Node.js 20.18 there is only the usual one.
    vm.createContext = () => createContext(vm.constants?.DONT_CONTEXTIFY);
    try {
      super(...given);
    } finally {
      vm.createContext = createContext;
    }
  }

  async setup() {
    await super.setup();
    // Every expectation notes where it stands, and some tests have a million of them.
    for (const { Error } of [globalThis, this.global]) Error.stackTraceLimit = linesOfStack;
  }
}
