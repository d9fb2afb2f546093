import { TestEnvironment } from 'jest-environment-jsdom';

/** jsdom with what the browsers have and it lacks. */
export default class Browserlike extends TestEnvironment {
  async setup() {
    await super.setup();
    const { global } = this;
    global.structuredClone = structuredClone;
    global.ResizeObserver = class {
      observe() {}
      unobserve() {}
      disconnect() {}
    };
    global.matchMedia = () => ({ matches: false, addEventListener() {}, removeEventListener() {} });
    // nothing is painted here
    global.HTMLCanvasElement.prototype.getContext = () => null;
    global.Element.prototype.scrollIntoView = () => undefined;
    global.Worker = class {
      terminate() {}
    };
    global.TextEncoder = TextEncoder;
    global.TextDecoder = TextDecoder;
    global.Request ??= Request;
    global.Response ??= Response;
    if (!global.crypto.randomUUID) global.crypto.randomUUID = () => crypto.randomUUID();
  }
}
