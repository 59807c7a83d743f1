/**
 * React's compiler is for our own components alone, and not for the run sheet, which is drawn again at every move of a finger: there
 * remembering takes longer than drawing.
 */
const COMPILED = /[/\\]apps[/\\]web[/\\]src[/\\](?!runsheet[/\\])/;

module.exports = (api) => {
  api.cache(true);
  return { plugins: [require('./pastIndexes')], presets: [['babel-preset-expo', { 'react-compiler': { sources: (file) => COMPILED.test(file) } }]] };
};
