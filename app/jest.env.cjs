const { default: JsdomEnvironment } = require('jest-preset-angular/environments/jest-jsdom-env');

/** jsdom lacks structuredClone, which IndexedDB's stand-in needs. */
module.exports = class extends JsdomEnvironment {
  async setup() {
    await super.setup();
    this.global.structuredClone = globalThis.structuredClone;
  }
};
