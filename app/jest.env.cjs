const { default: JsdomEnvironment } = require('jest-preset-angular/environments/jest-jsdom-env');

/** What jsdom lacks: IndexedDB's stand-in needs the first, texts that are packed the others, whose bytes must be Node's own. */
const LACKING = [
  'structuredClone',
  ...['CompressionStream', 'DecompressionStream', 'TextDecoder', 'TextEncoder', 'Uint8Array'],
];
module.exports = class extends JsdomEnvironment {
  async setup() {
    await super.setup();
    for (const name of LACKING) this.global[name] = globalThis[name];
  }
};
