/** In place of the component kit's arithmetic on colours: every shade that shows here is told by the theme, so each stays as it came. */
module.exports = (told) => {
  const same = () => shade;
  const shade = { alpha: same, darken: same, lighten: same, rgb: same, hex: same, string: () => String(told), toString: () => String(told) };
  return shade;
};
