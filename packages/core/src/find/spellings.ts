/** Words that are spelled in two ways, and what things were called before, or are called elsewhere. */

/** British and American; a word that begins with one is sought with the other too. */
export const SPELLINGS: readonly (readonly [string, string])[] = [
  ['mould', 'mold'],
  ['colour', 'color'],
  ['grey', 'gray'],
  ['fibre', 'fiber'],
  ['centre', 'center'],
  ['metre', 'meter'],
  ['aluminium', 'aluminum'],
  ['programme', 'program'],
  ['catalogue', 'catalog'],
  ['polariser', 'polarizer'],
  ['plough', 'plow'],
  ['draught', 'draft'],
  ['sulphur', 'sulfur'],
  ['jewellery', 'jewelry'],
];

/** What people write, and what stands in Torvin for it; also the other way round. */
export const OTHER_NAMES: readonly (readonly [string, readonly string[]])[] = [
  ['kiln wash', ['release', 'primer']],
  ['shelf primer', ['release', 'primer']],
  ['batt wash', ['release', 'primer']],
  ['separator', ['release']],
  ['look-in', ['check']],
  ['peek', ['check']],
  ['ramp', ['rate', 'segment']],
  ['soak', ['hold']],
  ['program', ['schedule']],
  ['crisp stick', ['low tack']],
  ['coated rush', ['fast fuse']],
  ['slab flow', ['dam melt']],
  ['drip melt', ['screen melt']],
  ['pot melt', ['screen melt']],
  ['haze', ['devit']],
  ['devitrification', ['devit']],
  ['compute', ['calculate']],
  ['coe', ['expansion']],
  ['template', ['pattern']],
  ['log', ['notebook', 'record']],
  ['preferences', ['settings']],
  ['options', ['settings']],
];
