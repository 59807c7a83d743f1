/**
 * Causes of faults, each declared once: what it is called, what in a firing speaks for or against it, what to change, and what to look at
 * where no figure tells. How likely a cause is with nothing known is in ./likely; every finding takes that times its weight.
 */
import { bodyFigures, naturalDepth } from '../body/body';
import { contactsOf } from '../fit/contacts';
import { LIKELY_PA, fit } from '../fit/fit';
import { formClearance } from '../release/formClearance';
import { openingTemperature } from '../schedule/opening';
import type { Units } from '../units/convert';
import { formatDuration, formatLength, formatStress, formatTemperature, text } from '../units/format';
import { type Facts, type Finding, byLimit } from './facts';

export interface Cause {
  title: string;
  /** What to change for the next firing. */
  change: string | ((units: Units) => string);
  /** Null where it cannot be. */
  weigh(facts: Facts): Finding | null;
}

const NOTHING_KNOWN: Finding = { weight: 1 };

/** Nearer than this to when it was to be cold, a clock tells nothing, s. */
const BY_CLOCK_S = 900;

function byClock(early_s: number | undefined, allowed: string): Finding {
  if (early_s === undefined) return NOTHING_KNOWN;
  if (early_s > BY_CLOCK_S) return { weight: 3, for: [`Opened ${text(formatDuration(early_s))} before it was calculated to reach ${allowed}.`] };
  return { weight: 0.3, against: [`Opened after it was calculated to reach ${allowed}.`] };
}

const opening = ({ firing, known, units: { temperature } }: Facts): Finding => {
  const at_C = openingTemperature(firing);
  const allowed = text(formatTemperature(at_C, temperature));
  if (known.opened_C === undefined) return byClock(known.openedEarly_s, allowed);
  const said = [`Opened at ${text(formatTemperature(known.opened_C, temperature))} (open at ${allowed} or less).`];
  return known.opened_C > at_C + 5 ? { weight: 1.5 + (known.opened_C - at_C) / 25, for: said } : { weight: 0.1, against: said };
};

const gripped = ({ firing: { glass, setup }, units }: Facts): Finding | null => {
  if (!setup.form) return setup.shaping?.kind === 'former' || setup.shaping?.kind === 'hollow' ? NOTHING_KNOWN : null;
  const clearance = formClearance(glass, setup.form);
  if (!clearance) return null;
  const { room_m, verdict } = clearance;
  const room = text(formatLength(Math.abs(room_m), units.length));
  if (verdict === 'grips' || verdict === 'hooks') return { weight: 4, for: [`When cold it is ${room} too tight on its form.`] };
  if (verdict === 'rides') return { weight: 1.5, for: [`When cold it is ${room} too tight; the lean of the walls may free it.`] };
  return { weight: 0.2, against: [`When cold ${room} of room is left across.`] };
};

const misfit = ({ firing: { body }, units }: Facts): Finding => {
  const pairs =
    body.glasses.length < 2 ? [] : fit({ glasses: body.glasses, contacts: contactsOf(body), evidence: [] }).pairs.filter(({ lower, upper }) => lower !== upper);
  if (pairs.length === 0) return { weight: 0.03, against: ['It is all one glass.'] };
  const stress_Pa = Math.max(...pairs.map((pair) => pair.stress_Pa));
  const said = [
    `Two of its glasses pull with up to ${text(formatStress(stress_Pa, units.length))} (good up to ${text(formatStress(LIKELY_PA, units.length))}).`,
  ];
  if (stress_Pa > LIKELY_PA) return { weight: 2 + (2 * stress_Pa) / LIKELY_PA, for: said };
  return { weight: stress_Pa > 0.5 * LIKELY_PA ? 1 : 0.3, against: said };
};

const thin = ({ firing: { body, glass }, units: { length } }: Facts): Finding => {
  const {
    depth,
    afterFiring: { tendency },
  } = bodyFigures(body);
  const rest = text(formatLength(naturalDepth(glass), length));
  const said = [`It is ${text(formatLength(depth.mean_m, length))} thick on average; hot glass rests at ${rest}.`];
  return tendency === 'draws-in' || tendency === 'scallops' || tendency === 'opens' ? { weight: 5, for: said } : { weight: 0.15, against: said };
};

const squeezed = (facts: Facts): Finding => {
  const reading = facts.worst('squeeze');
  if (facts.firing.squeeze_perPa === 0) return { weight: 0.15, against: ['Nothing wide has to settle while its edges are open.'] };
  return byLimit(facts, reading);
};

/** A hold that dries or burns off, as it ran. */
const heldFor = ({ segment, units: { temperature } }: Facts, role: 'dry' | 'burnOff'): string[] => {
  const one = segment(role);
  return one ? [`It was held at ${text(formatTemperature(one.target_C, temperature))} for ${text(formatDuration(one.hold_s))}.`] : [];
};

const damp = (facts: Facts): Finding => {
  const dried = heldFor(facts, 'dry');
  if (dried.length > 0) return { weight: 0.4, against: dried };
  return facts.firing.setup.wet ? { weight: 4, for: ['It went in damp, and no hold dried it.'] } : NOTHING_KNOWN;
};

const glued = (facts: Facts): Finding => {
  const burnt = heldFor(facts, 'burnOff');
  if (facts.firing.setup.wet !== 'glued') return { weight: 0.4 };
  return burnt.length > 0 ? { weight: 0.8, against: burnt } : { weight: 3, for: ['It was glued, and no hold burned the glue off.'] };
};

const worn = (facts: Facts): Finding => {
  const { coat } = facts.known;
  const hot = facts.worst('coatTop') ?? facts.worst('shelfTop');
  const byHeat = byLimit(facts, hot);
  if (!coat) return hot && byHeat.for ? byHeat : NOTHING_KNOWN;
  const said = [`This was firing ${coat.firings} on its coat (good for ${coat.most}).`];
  return coat.firings > coat.most ? { weight: 5, for: [...said, ...(byHeat.for ?? [])] } : { weight: coat.firings === coat.most ? 1 : 0.4, against: said };
};

/** Glues char and burn off here, °C. */
const BURNS_OFF_C = 360;
/** A liner that stands higher than the glass gives it needles. */
const LOWER_M = 0.003;
const TWO_SHEETS_M = 0.006;

/** What was read on the glass counts before what was calculated. */
function byRead({ known: { tensionRead_Pa }, firing: { limits }, units }: Facts): Finding | null {
  if (tensionRead_Pa === undefined) return null;
  const stress = (pascals: number): string => text(formatStress(pascals, units.length));
  const said = [`Read between polarisers: ${stress(tensionRead_Pa)} of tension, where ${stress(limits.residual_Pa)} may stay.`];
  return tensionRead_Pa > limits.residual_Pa ? { weight: 6, for: said } : { weight: 0.15, against: said };
}

export const CAUSES = {
  squeezeShort: {
    title: 'Bubble squeeze too short',
    change: 'Hold the bubble squeeze longer, or climb through it more slowly.',
    weigh: squeezed,
  },
  dampPrimer: {
    title: 'Damp primer or mould',
    change: 'Dry the shelf or mould by itself before the next firing. Warm to the touch is not dry: weigh it.',
    weigh: damp,
  },
  dishedShelf: {
    title: 'Shelf not flat',
    change: 'Lay a straightedge over the shelf both ways. Grind it flat, or lay fibre paper under the glass.',
    weigh: ({ fault: { middle, size } }) => ({
      weight: (middle ? 2.5 : 1) * (size === 'small' ? 0.3 : 1),
      ...(middle ? { for: ['It is near the middle, where air stays longest.'] } : {}),
    }),
  },
  blockedVents: {
    title: 'Blocked vents of the mould',
    change: 'Clear the vents with a wire, and stand the mould on posts so that air gets out.',
    weigh: ({ firing: { setup } }) => (setup.shaping?.kind === 'hollow' ? NOTHING_KNOWN : null),
  },
  glue: {
    title: 'Glue under the glass',
    change: ({ temperature }) => `Use less glue, at the rim alone, and hold at ${text(formatTemperature(BURNS_OFF_C, temperature))} to burn it off.`,
    weigh: glued,
  },
  fingerprints: {
    title: 'Dirt or fingerprints',
    change: 'Clean each sheet with a cloth without soap, and hold it by its edges from then on.',
    weigh: ({ fault: { size } }) => ({ weight: size === 'large' ? 0.3 : 1 }),
  },
  blastResidue: {
    title: 'Grit left from blasting or grinding',
    change: 'Scrub it in water with a brush, rinse, and dry it before it is fired.',
    weigh: ({ known: { blasted } }) =>
      blasted === undefined
        ? NOTHING_KNOWN
        : blasted
          ? { weight: 3, for: ['It was blasted or ground before this firing.'] }
          : { weight: 0.1, against: ['It was not blasted or ground.'] },
  },
  wornRelease: { title: 'Release worn out', change: 'Scrape the old coat off and put a new one on before the next firing.', weigh: worn },
  mouldOffLevel: {
    title: 'Mould off level',
    change: 'Put a level across the rim of the mould, both ways, once it is in the kiln.',
    weigh: ({ firing: { setup } }) => (setup.shaping?.kind === 'hollow' || setup.shaping?.kind === 'former' ? { weight: 1.5 } : null),
  },
  hotSide: {
    title: 'One side of the kiln hotter',
    change: 'Turn the piece by half a turn next time, or move it away from the hot side.',
    weigh: ({ known: { towardsHot } }) =>
      towardsHot === undefined
        ? NOTHING_KNOWN
        : towardsHot
          ? { weight: 3, for: ['This side faced the hot side of the kiln.'] }
          : { weight: 0.3, against: ['This side did not face the hot side.'] },
  },
  againstDam: {
    title: 'Glass held by its dam',
    change: ({ length }) => `Line the dam with fibre paper, cut ${text(formatLength(LOWER_M, length))} lower than the glass ends up.`,
    weigh: ({ firing: { body } }) => (body.dammed ? { weight: 2, for: ['It lay inside a dam.'] } : null),
  },
  formerGripped: { title: 'Form gripped the glass', change: 'Lay fibre paper between, or use a form of another material or steeper lean.', weigh: gripped },
  openedEarly: { title: 'Opened too early', change: 'Wait until the kiln reads the opening temperature. Do not prop the lid before that.', weigh: opening },
  misfit: { title: 'Glasses that do not fit', change: 'Make a strip test of this pair before it goes into a piece again.', weigh: misfit },
  tooFastUp: {
    title: 'Warmed too fast',
    change: 'Halve the first rate, up to where the glass softens.',
    weigh: (facts) => byLimit(facts, facts.worst('pull', 'up')),
  },
  tooFastDown: {
    title: 'Cooled too fast',
    change: 'Halve the cooling rates below the soak, and keep the last one controlled.',
    weigh(facts) {
      const [tension, setting] = [byLimit(facts, facts.worst('pull', 'down')), byLimit(facts, facts.worst('setting'))];
      return tension.weight >= setting.weight ? tension : setting;
    },
  },
  stressLeft: {
    title: 'Not annealed well enough',
    change: 'Hold the soak longer and slow the first cool. Check a finished piece between crossed polarisers.',
    weigh(facts) {
      const [left, soaked] = [byLimit(facts, facts.worst('residual')), byLimit(facts, facts.worst('soakTime'))];
      return byRead(facts) ?? (left.weight >= soaked.weight ? left : soaked);
    },
  },
  tooHot: { title: 'Too hot or held too long', change: 'Go cooler, or hold for less.', weigh: (facts) => byLimit(facts, facts.worst('workMost')) },
  tooCool: { title: 'Too little heat', change: 'Go hotter, or hold longer.', weigh: (facts) => byLimit(facts, facts.worst('workLeast')) },
  tooLongInHaze: {
    title: 'Too long in its devitrification range',
    change: 'Climb faster through that range, and drop to the soak without a stop.',
    weigh: (facts) => byLimit(facts, facts.worst('haze')),
  },
  tooThin: {
    title: 'Thinner than hot glass rests',
    change: ({ length }) => `Use ${text(formatLength(TWO_SHEETS_M, length))} in all or more, or dam it on every side.`,
    weigh: thin,
  },
  bent: {
    title: 'Top and underside cooled unlike each other',
    change: 'Raise the shelf on posts, slow the first cool, and keep draughts out.',
    weigh: (facts) => byLimit(facts, facts.worst('setting')),
  },
  colourChange: {
    title: 'Glass that changes its colour by heat or touch',
    change: 'Fire a small test of these colours by this very schedule.',
    weigh: () => NOTHING_KNOWN,
  },
} satisfies Record<string, Cause>;
export type CauseName = keyof typeof CAUSES;

/** What to change, in the studio's units. */
export function changeFor(cause: CauseName, units: Units): string {
  const { change }: Cause = CAUSES[cause];
  return typeof change === 'string' ? change : change(units);
}
export const CAUSE_NAMES = Object.keys(CAUSES) as [CauseName, ...CauseName[]];
