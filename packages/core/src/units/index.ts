/** What of this room is used outside of the core. */
export {
  celsiusFrom,
  densityUnit,
  differenceIn,
  kelvinFrom,
  type LengthUnit,
  massFrom,
  massIn,
  type MassUnit,
  METRES_PER_INCH,
  METRIC,
  otherTemperature,
  otherUnits,
  strewnUnit,
  temperatureIn,
  type TemperatureUnit,
  type Units,
} from './convert';
export { fileName } from './fileName';
export { parseDensity, parseDifference, parseDuration, parseLength, parseMass, parseRate, parseStrewn, parseTemperature, unitsWritten } from './parse';
export {
  type Figure,
  formatArea,
  formatCoat,
  formatDensity,
  formatDifference,
  formatDuration,
  formatLength,
  formatMass,
  formatRate,
  formatStock,
  formatStress,
  formatStrewn,
  formatTemperature,
  formatVolume,
  text,
} from './format';
