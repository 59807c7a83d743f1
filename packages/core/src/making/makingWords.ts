/** Each step of a mould in the making, in words: what it is called, what to do, and what to take care of while doing it. */
import type { FormShape } from '../form/shape';
import type { Units } from '../units/convert';
import { formatDuration, formatLength, formatMass, formatTemperature, formatVolume, text } from '../units/format';
import { type Amounts, CLAY_DRAWS_IN, waxLeft } from './amounts';
import type { Drying } from './drying';
import { type Flexible, type Making, type MakingWay, type Model, type StageName, standsIn } from './making';

export const MAKING_NAMES: Record<MakingWay, string> = {
  investment: 'Investment, poured round a model',
  clay: 'Clay, pressed on a model and bisque fired',
  castable: 'Castable, poured over a model',
  metal: 'Metal, bought or bent',
};
export const MODEL_NAMES: Record<Model, string> = { wax: 'Wax', foam: 'Foam', firm: 'Firm, lifted out' };
export const FLEXIBLE_NAMES: Record<Flexible, string> = { none: 'None', alginate: 'Alginate', rubber: 'Rubber, brushed on' };

const TITLES: Record<StageName, string> = {
  model: 'Model',
  alginate: 'Alginate mould',
  rubber: 'Rubber',
  shell: 'Shell over the rubber',
  wax: 'Wax cast',
  invest: 'Invested',
  clear: 'Model out',
  press: 'Clay pressed',
  lift: 'Off the model',
  pour: 'Castable poured',
  strip: 'Off the model',
  dry: 'Drying',
  burnOut: 'Burnt out',
  bisque: 'Bisque fired',
  bake: 'Baked',
  cast: 'Glass cast in it',
  divest: 'Divested',
  degrease: 'Degreased',
  descale: 'Scale off',
  firstCoat: 'First coat',
};

const OUT: Record<Model, string> = { wax: 'Wax out', foam: 'Foam out', firm: 'Model out' };

export const stageTitle = (stage: StageName, making: Pick<Making, 'model' | 'flexible'>): string => (stage === 'clear' ? OUT[standsIn(making)] : TITLES[stage]);

const SLURRY =
  'Plaster and silica dust scars the lungs for good: respirator, powder into water, no dry sweeping. Setting plaster grows hot enough to burn: no hand is cast in it.';
const CAUTIONS: Partial<Record<StageName, string>> = {
  model: 'Molten wax burns and catches fire: a water bath, never a bare flame. Hot wire and solvents on foam give fumes that harm: outdoors, or a hood.',
  wax: 'Molten wax burns and catches fire: a water bath with a thermometer, a lid at hand to smother it, never water.',
  rubber: 'Rubbers by their makers’ sheets: gloves, fresh air, and scales of their own.',
  shell: SLURRY,
  invest: SLURRY,
  press: 'Clay dust holds silica: keep it damp and wipe up wet.',
  pour: 'Castable is caustic while wet and silica dust when dry: gloves, respirator, wash it off at once.',
  dry: 'A mould that feels dry can hold much water yet: steam bursts it and spits. Plaster over a heater chars and is no firing.',
  burnOut: 'Smoke of wax and foam harms and can burn: vent open, fumes led outside, nobody bends over the lid.',
  bisque: 'A pocket of water bursts raw clay: bone dry before it goes in.',
  cast: 'The mould stands on sand in a tray that holds all of its glass. A hot kiln is opened with the power off, in face shield and sleeves.',
  divest:
    'Fired investment is loose silica dust: respirator, everything wet, no tool against the glass, and no dry brushing. Vinegar is mild and takes the last of it off; stronger acids by their makers’ sheets alone.',
  degrease: 'Spirit burns and its fumes make dizzy: no flame, fresh air, gloves.',
  descale: 'Scale flies into eyes: goggles and gloves. Acids by their makers’ sheets alone; vinegar is mild and slow.',
  firstCoat: 'Nitride is a mist when sprayed: mask and gloves; brushing is calmer. Warm steel burns before it looks hot.',
};

const CLEAR_CAUTION: Record<Model, string> = {
  wax: 'Steam scalds before it is seen, and wax comes out hot: long gloves, face shield, the pan off the flame before the mould is lifted, two hands for it.',
  foam: 'Foam pulled dry gives dust, burnt it gives fumes that harm: pull what comes, and air the room for the rest.',
  firm: 'Lift straight: a crumb that falls back in is a flaw in the glass.',
};

export const stageCaution = (stage: StageName, making: Pick<Making, 'model' | 'flexible'>): string | null =>
  stage === 'clear' ? CLEAR_CAUTION[standsIn(making)] : (CAUTIONS[stage] ?? null);

/** Steel is coated as warm as this, °C: water is off at once, and nothing boils. */
const WARM_STEEL_C = 120;

/** What to do, with the figures of this one. */
export function stageDoes(stage: StageName, making: Making, form: FormShape, amounts: Amounts, units: Units): string {
  const long = (metres: number): string => text(formatLength(metres, units.length));
  const mass = (kg: number): string => text(formatMass(kg, units.mass));
  const wax = amounts.wax_kg === null ? '' : ` about ${mass(amounts.wax_kg)} of wax by its measures`;
  const mixed = amounts.mixed.map(({ name, mass_kg }) => `${mass(mass_kg)} of ${name}`).join(', ');
  const wall = long(form.thick_m);
  switch (stage) {
    case 'model':
      if (making.way === 'clay') {
        const draws = [CLAY_DRAWS_IN.least, CLAY_DRAWS_IN.most];
        const [least, most] = draws.map((share) => long(form.across_m / (1 - share)));
        return `Clay draws in by ${draws.map((share) => 100 * share).join(' to ')} % on its way to bisque: for ${long(form.across_m)} the model is ${least} to ${most} across. Seal it, so that it does not drink.`;
      }
      if (making.way === 'castable') return 'The model is sealed and greased; walls that lean let it go.';
      return standsIn(making) === 'wax' && making.flexible === 'none'
        ? `Of wax,${wax}; with a sprue as wide as its thickest place. Weigh it: what has to be steamed out is known then.`
        : making.model === 'foam' && making.flexible === 'none'
          ? 'Of foam, with a sprue; sealed with wax where its skin is to be smooth.'
          : 'Sealed, with no undercut that its mould cannot give way to.';
    case 'alginate':
      return 'It sets in minutes, sooner when warm. It draws in as it dries: fill it within the hour, and keep it under a wet cloth until then.';
    case 'rubber':
      return `${making.rubberCoats} coats, each on the last one while that is still tacky, thin first to keep bubbles out.`;
    case 'shell':
      return 'Plaster over the rubber in two parts, so that it keeps its form when it is filled.';
    case 'wax':
      return `Swill it round for an even wall, or fill it:${wax || ' as much as it takes'}. Cold through before it is taken out. Weigh it.`;
    case 'invest':
      return `${wall} of wall all round and over the model${form.plan === 'rectangle' ? ', in a box' : ', in a ring'}: ${mixed}. Powder into the water, left to soak, stirred without air, poured at one side. It grows warm, then hard.`;
    case 'clear':
      return {
        wax: 'While it is still warm and damp, so that no wax soaks in: cup down over steam until what drips is clear. Weigh the wax that came.',
        foam: 'Pull what comes by hand; what is left is burnt out.',
        firm: 'Lift it out before it dries, and blow no crumb back in.',
      }[standsIn(making)];
    case 'press':
      return `${wall} thick, pressed outwards from the middle. Drill vents through its lowest places while it is leather hard.`;
    case 'lift':
      return 'Leather hard it comes off by itself; dry it between boards, turned each day.';
    case 'pour':
      return `${mixed}, the water sparing: shaken until it shines, under plastic while it sets.`;
    case 'strip':
      return 'A day later, with patience; it is brittle until it has been baked.';
    case 'dry':
      return 'Standing free on slats in moving air. Weigh it each day.';
    case 'burnOut':
      return standsIn(making) === 'firm'
        ? 'No wax to burn: the firing that dries it goes before the glass.'
        : 'The rest of it burns away, slowly and with air.';
    case 'bisque':
      return 'To its cone, with a witness beside it.';
    case 'bake':
      return 'Its binder gives up its water slowly.';
    case 'cast':
      return `Told with the firing that stands in it.${amounts.model_m3 === null ? '' : ` It takes ${text(formatVolume(amounts.model_m3, units.length))} of glass, and more for its sprue.`}`;
    case 'divest':
      return 'Only when it is as cold as the room all through. From its thick places to its thin ones, damp, with wood and fingers; what clings is soaked, overnight in vinegar and water.';
    case 'degrease':
      return 'With spirit and a clean cloth, until that stays clean; no finger on it from then on.';
    case 'descale':
      return 'Brush off what is loose down to sound metal: the next coat lies on nothing better than what is under it.';
    case 'firstCoat':
      return `On warm steel, about ${text(formatTemperature(WARM_STEEL_C, units.temperature))}: a drop hisses and is gone. Thin coats, each dry before the next; then told as a coat.`;
  }
}

/** How it dries, by the scales. */
export function dryingWords({ holds_kg, lost, isDry }: Drying, units: Units): string {
  const mass = (kg: number): string => text(formatMass(kg, units.mass));
  const said = [
    ...(holds_kg === null ? [] : [`Still to leave: ${mass(holds_kg)} of water, by its mix.`]),
    ...(lost === null ? [] : [`It lost ${(100 * Math.max(lost.share, 0)).toFixed(1)} % in ${text(formatDuration(lost.over_s))}.`]),
    ...(isDry ? ['It is as dry as this room makes it.'] : []),
  ];
  return said.join(' ');
}

/** '70 g of wax are in it yet: …'; null where that is not known. */
export function waxLeftWords(making: Making, amounts: Amounts, units: Units): string | null {
  const left_kg = waxLeft(making, amounts.wax_kg);
  if (left_kg === null) return null;
  return left_kg < 0.0005
    ? 'All of the wax came out.'
    : `${text(formatMass(left_kg, units.mass))} of wax are in it yet, soaked in or behind a corner: it burns out slowly, with the vent open.`;
}
