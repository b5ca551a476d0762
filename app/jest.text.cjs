/** A text file as a module, as the build has it. */
module.exports = {
  process: (text) => ({
    code: `Object.defineProperty(exports, '__esModule', { value: true }); exports.default = ${JSON.stringify(text)};`,
  }),
};
