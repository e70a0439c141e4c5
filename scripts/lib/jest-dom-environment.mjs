import { TestEnvironment } from 'jest-environment-jsdom';

/** What browsers have and the made-up document lacks. */
const lacking = { TextEncoder, TextDecoder, Uint8Array, structuredClone };

/** Elements have no size there, so nobody is told of one. */
class NoResizes {
  observe() {}
  unobserve() {}
  disconnect() {}
}

/** Nothing is dragged or scrolled there. */
const noPointers = {
  hasPointerCapture: () => false,
  setPointerCapture() {},
  releasePointerCapture() {},
  scrollIntoView() {},
};

/** A document without a browser, for tests of components. */
export default class DomEnvironment extends TestEnvironment {
  async setup() {
    await super.setup();
    Object.assign(this.global, lacking, { ResizeObserver: NoResizes });
    Object.assign(this.global.Element.prototype, noPointers);
  }
}
