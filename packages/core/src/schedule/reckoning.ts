/**
 * The reckoning behind a reading, line by line with the figures put in, so that a person can follow it with a pencil.
 * Closed forms are given beside the simulated figure wherever there is one; they need not agree, and say so.
 */
import { hardestLid, resolved } from './resolved';
import { unlikeColumns } from './unlike';
import type { ResolvedFiring } from './resolvedFiring';
import { footprintNarrow } from '../body/footprint';
import { hazeBell } from '../flow/harm';
import { diffusivity, restrainedStress, shearModulus } from '../glass/constants';
import { logViscosity } from '../glass/viscosity';
import { slabLag, solidLag } from '../heat/quasiSteady';
import { hottestSegment } from '../heat/regimes';
import { HELD_SHARE } from '../heat/thermalTension';
import { RECIPES } from '../look/recipes/all';
import { TYPICAL_WORKS } from '../look/works';
import { METRES_PER_INCH, type Units, differenceIn, kelvinFrom } from '../units/convert';
import { formatDifference, formatDuration, formatLength, formatRate, formatStock, formatStress, formatTemperature, text } from '../units/format';
import { type Evaluation, type Reading, marginOf } from './reading';
import { INVESTMENT_PACE, INVESTMENT_WALL_M, SHELF_M } from './setups';
import { SHELF_PAST_C, SHELF_REFERENCE_M } from './shelfPace';
import type { FiringCase } from './firingCase';
import { BULGE_RESERVE } from './limits';
import { coolPullReserve } from './uneven';
import { openingCeiling, openingTemperature } from './opening';
import type { Segment } from '../kiln/segment';
import { CONE_RATE_C_PER_H, coneBends } from '../emptyFiring/cones';
import { EMPTY_ITEM_MATERIALS } from '../emptyFiring/emptyItems';
import { emptyFiringOf } from './emptyFiring';

const scientific = (value: number): string => {
  const power = Math.floor(Math.log10(Math.abs(value)));
  return `${(value / 10 ** power).toFixed(2)}·10${String(power)
    .split('')
    .map((digit) => '⁰¹²³⁴⁵⁶⁷⁸⁹⁻'['0123456789-'.indexOf(digit)])
    .join('')}`;
};

/** What the works of looks were calibrated on. */
const REFERENCE_SHEET_M = 0.003;

interface Asked {
  firing: FiringCase;
  segments: readonly Segment[];
  evaluation: Evaluation;
  reading: Reading;
  units: Units;
}

type Question = Asked & { firing: ResolvedFiring };

/** What the field of an uneven body says, at the segment's own rate. */
function fieldLines({ firing, segments, evaluation, reading, units }: Question): string[] | null {
  const { uneven } = evaluation;
  if (!uneven || !firing.uneven || reading.segment <= hottestSegment(segments)) return null;
  const { acrossLag_s: across } = firing;
  const lines = [
    `Its heat is followed to every side, ∇·(k∇θ) = −ρc·R. What is hottest leads what is coldest by ${uneven.spread_s.toFixed(0)} s times the rate, its rim left out.`,
    `Its inside stands ${uneven.bulge_s.toFixed(0)} s times the rate over the plane that fits it best. With a reserve of ${firing.limits.bulgeReserve ?? BULGE_RESERVE} an even plate of ${text(formatLength(uneven.plate_m, units.length))} bulges as much: the stress of that one is followed.`,
  ];
  const rate = segments[reading.segment].rate_C_per_h;
  if (rate === null) return lines;
  const settled = (rate / 3600) * (uneven.spread_s + across);
  return [
    ...lines,
    `Across it in this kiln: ${across.toFixed(0)} s. At ${text(formatRate(rate, units.temperature))} that settles at ${text(formatDifference(settled, units.temperature))}.`,
  ];
}

/** How one block in its mould is warmed; null for all else. */
function blockLines({ firing, evaluation: { uneven } }: Question): string[] | null {
  if (!uneven || !firing.uneven?.isOneBlock) return null;
  return [
    'One block fills the mould: it is warmed from all round, and its inside lags.',
    `Measured from the plane that fits it best, in a cold kiln: ${uneven.coldBulge_s.toFixed(0)} s times the rate. It counts ${firing.limits.bulgeReserve ?? BULGE_RESERVE} times.`,
    'Billets, lumps or frit would warm piece by piece, and faster. Lay it so to compare.',
  ];
}

/** Through and across by closed form, at the segment's own rate; nothing where it runs as fast as it can. */
function differenceLines(question: Question, as: 'laid' | 'heated' | 'fired'): string[] {
  const ofField = fieldLines(question);
  if (ofField) return ofField;
  const { firing, segments, reading, units } = question;
  const depth_m = firing.depth_m[as];
  const shape = as === 'fired' ? firing.firedShape : firing.shape;
  const { glass, openFaces: faces, acrossLag_s: across } = firing;
  const sides = shape === 'plate' ? 0 : firing.sidesLag_s;
  const through = shape === 'plate' ? slabLag(glass, depth_m, faces) : solidLag(glass, depth_m, shape);
  const divisor = shape === 'plate' ? (faces === 2 ? 8 : 2) : shape === 'cylinder' ? 16 : 24;
  const depth = text(formatLength(depth_m, units.length));
  const kappa = diffusivity(glass);
  const spread = units.length === 'in' ? `${scientific(kappa / METRES_PER_INCH ** 2)} in²/s` : `${scientific(kappa)} m²/s`;
  const lines = [
    `Lag through ${depth}, ${shape === 'plate' ? (faces === 2 ? 'both faces open' : 'one face open') : shape}: L²/(${divisor}κ) = ${depth}²/(${divisor} · ${spread}) = ${through.toFixed(0)} s.`,
    ...(sides > 0 ? [`Lag from above to below, warmed by its upper half alone: L²/(${shape === 'cylinder' ? 'π' : '4'}κ) = ${sides.toFixed(0)} s.`] : []),
    `Lag across ${text(formatLength(footprintNarrow(firing.body.footprint), units.length))} in this kiln: ${across.toFixed(0)} s.`,
  ];
  const rate = segments[reading.segment].rate_C_per_h;
  if (rate === null) return lines;
  const settled = (rate / 3600) * (through + sides + across);
  return [
    ...lines,
    `At ${text(formatRate(rate, units.temperature))} they settle at rate · (through + ${sides > 0 ? 'above to below + ' : ''}across) = ${text(formatDifference(settled, units.temperature))}; ramps too short to settle stay under it.`,
  ];
}

/** Thick beside thin, where the one can pull the other: in one solid on the way up, in all that was fired on the way down. */
function columnLines({ firing: { body, changes }, segments, reading, units }: Question): string[] {
  const cools = reading.segment > hottestSegment(segments);
  const columns = cools ? !changes : body.joined;
  const unlike = columns ? unlikeColumns(body) : null;
  if (unlike === null) return [];
  const [thick, thin, apart] = [unlike.thick_m, unlike.thin_m, unlike.apart_m].map((metres) => text(formatLength(metres, units.length)));
  return [`Thick beside thin counts too: ${thick} and ${thin}, ${apart} from middle to middle. How far one runs ahead of the other is added.`];
}

/** The reckoning of an empty item, where it is another than that of glass. */
function emptyLines({ firing, reading, units }: Question): string[] | null {
  const bare = emptyFiringOf(firing);
  if (bare === null) return null;
  const { item, recipe } = bare;
  const degrees = (celsius: number): string => text(formatTemperature(celsius, units.temperature));
  const rate = (C_per_h: number): string => text(formatRate(C_per_h, units.temperature));
  const wall = text(formatLength(item.wall_m, units.length));
  switch (reading.limit) {
    case 'heldThrough': {
      const { dry, top } = recipe.plan(item, firing.setup.wet !== undefined);
      const held = reading.allowed === top?.for_s ? top : (dry ?? top);
      return [
        ...(held
          ? [`Counted while the coldest place of it is at ${degrees(held.through_C)} or more${held === dry ? ' and its hottest under the boil' : ''}.`]
          : []),
        ...(held === dry ? [`Water comes out of a wall by the square of how thick it is: here ${wall}. Typical; the scales know better.`] : []),
      ];
    }
    case 'coneLeast':
    case 'coneMost':
      return [
        ...(item.cone === undefined
          ? []
          : [`Cone ${item.cone} bends near ${degrees(coneBends(item.cone))} where the last hours climb at ${rate(CONE_RATE_C_PER_H)}.`]),
        'Work ∫exp(−Θ/T)dt of the coldest place, T in kelvin and Θ 120 000 K. It is given as the end of such a climb; half-way to the next cone it counts as that.',
        'Typical of large cones: the chart that came with yours stands above it.',
      ];
    case 'mouldPace': {
      const { pace, cools } = EMPTY_ITEM_MATERIALS[item.of];
      return [
        ...(pace
          ? [
              `Up to ${degrees(pace.past_C)} a wall of ${text(formatLength(pace.wall_m, units.length))} warms at ${rate(pace.C_per_h)}. Twice as thick is half as fast: here ${wall}.`,
            ]
          : []),
        ...(cools ? [`Until ${degrees(cools.under_C)} it cools by no more than ${rate(cools.C_per_h)}, by its wall likewise.`] : []),
        'Typical: whoever makes the mould knows better.',
      ];
    }
    case 'opening':
      return [`Nothing of clay or plaster is taken out hotter than ${degrees(firing.limits.open_C)}.`];
    default:
      return null;
  }
}

function linesOf(question: Question): string[] {
  const ofEmpty = emptyLines(question);
  if (ofEmpty) return ofEmpty;
  const { firing, segments, evaluation, reading, units } = question;
  const { limits, kiln, corrections, glass, viscosity: vft, depth_m, stand, workFactor } = firing;
  const segment = segments[reading.segment];
  const cools = reading.segment > hottestSegment(segments);
  const felt_C = segment.target_C - (corrections?.offset_K ?? 0);
  switch (reading.limit) {
    case 'pull':
      return [
        `Fully held, by formula: E·α·ΔT/(1−ν), ${text(formatStress(restrainedStress(glass, kelvinFrom(1, units.temperature)), units.length))} for each °${units.temperature}.`,
        ...((cools ? null : blockLines(question)) ?? differenceLines(question, 'heated')),
        ...(evaluation.uneven && firing.uneven && cools
          ? [
              `It set with the differences of that time in it: only what comes after pulls, on its faces and on its rim. In a cold kiln that lies ${evaluation.uneven.dip_s.toFixed(0)} s times the rate under its plane. It pulls by E·α·ΔT.`,
            ]
          : []),
        `The glass is free to bow, so the bulge of the simulated profile counts. ${Math.round(100 * (limits.heldShare ?? HELD_SHARE))} % of its straight part is added for uneven contact and shaded rims, and the difference across. Each at its greatest.`,
        ...columnLines(question),
        `Composing stays ${cools ? coolPullReserve(firing) : limits.pullReserve} times under it.`,
      ];
    case 'setting':
    case 'climbing':
      return [
        ...differenceLines(question, reading.limit === 'setting' ? 'fired' : 'laid'),
        ...(reading.limit === 'setting' && !firing.uneven ? [`Composing stays ${limits.settingReserve} times under it.`] : []),
      ];
    case 'even':
      return [
        ...differenceLines(question, 'fired').slice(0, 2),
        `Asked: even to ${text(formatDifference(limits.even_K, units.temperature))} before the first cool.`,
      ];
    case 'relaxed': {
      const eta = 10 ** logViscosity(vft, felt_C);
      const tau = eta / shearModulus(glass);
      return [
        `At ${text(formatTemperature(felt_C, units.temperature))} the viscosity is ${scientific(eta)} Pa·s; stress falls by e in η/G = ${text(formatDuration(tau))}.`,
        'Counted from when the body has become even.',
        ...(reading.note ? ['What stress stays is simulated besides, and that decides.'] : []),
      ];
    }
    case 'squeeze': {
      const lid = hardestLid(firing, glass) ?? { thickness_m: 0, way_m: 0 };
      return [
        `Work to lay ${text(formatLength(lid.thickness_m, units.length))} of glass onto what lies under it: ${scientific(firing.squeeze_perPa)} 1/Pa,`,
        `for pockets ${text(formatLength(2 * limits.pocket.radius_m, units.length))} wide with ${text(formatLength(limits.pocket.gap_m, units.length))} to close, and air that has ${text(formatLength(lid.way_m / 2, units.length))} to go to the rim: twice as far asks for four times the work.`,
        'The work is ∫dt/η while it climbs; it counts less and less as the rim seals, half of it where the glass softens.',
      ];
    }
    case 'workLeast':
    case 'workMost': {
      const { group, law } = RECIPES[firing.look];
      const range = group === 'flat' && firing.look in TYPICAL_WORKS ? limits.works_perPa[firing.look as keyof typeof TYPICAL_WORKS] : null;
      return [
        `Heat work ∫dt/η of the whole firing: ${scientific(reading.value)} 1/Pa; ${reading.limit === 'workLeast' ? 'at least' : 'at most'} ${scientific(reading.allowed)}.`,
        ...(range
          ? [
              `On two sheets of ${text(formatStock(REFERENCE_SHEET_M, units.length))} a ${RECIPES[firing.look].name.toLowerCase()} takes ${scientific(range.least)} to ${scientific(range.most)}; thicker edges take more in proportion.`,
            ]
          : []),
        ...(law === undefined ? [] : [law]),
        `At ${text(formatTemperature(felt_C, units.temperature))} the viscosity is 10^${logViscosity(vft, felt_C).toFixed(2)} Pa·s.`,
        ...(workFactor === 1 ? [] : [`Your firings taught a factor of ${workFactor.toFixed(2)}.`]),
      ];
    }
    case 'haze': {
      const { middle_C, halfWidth_K } = hazeBell(glass);
      return [
        `Time weighted by a bell around ${text(formatTemperature(middle_C, units.temperature))}, ${text(formatDifference(halfWidth_K, units.temperature))} to each side; 1 s at its middle counts 1 s.`,
        'The limit is a typical figure without much proof behind it.',
      ];
    }
    case 'coating':
      return ['For a bare coating: time on the way up between where stress relaxes and where glass sticks.'];
    case 'residual':
      return [
        'The full model: stress and structure relax by their own spectra through the cooling, force and moment in balance.',
        ...(fieldLines(question) ?? []).slice(0, 2),
        ...(evaluation.simulation.estimates ?? []).map(({ formula, stress_Pa }) => `${formula}: ${text(formatStress(stress_Pa, units.length))}.`),
        ...(evaluation.simulation.residualFlat
          ? [`Held flat it would be ${text(formatStress(Math.max(...evaluation.simulation.residualFlat.map(({ stress_Pa }) => stress_Pa)), units.length))}.`]
          : []),
      ];
    case 'soakTime':
      return [
        `Never less than ${text(formatDuration(limits.leastSoak_s))}, whatever the calculation says.`,
        ...(limits.soakOf12mm_s === undefined
          ? []
          : [
              `An even body of ${text(formatLength(0.012, units.length))} is soaked ${text(formatDuration(limits.soakOf12mm_s))} in practice. Others go by the power 1.25 of their thickness, here ${text(formatLength(depth_m.fired, units.length))}; low soaks a little longer. No kiln is as even as a calculation.`,
            ]),
      ];
    case 'kilnPace':
      return [
        'At full power the kiln gains what its elements give less what its walls lose: the hotter, the less. The figure is its mean over this way, slow stretches in.',
      ];
    case 'shelfPace':
      return [
        `A shelf or mould ${text(formatLength(stand.long_m, units.length))} long and ${text(formatLength(stand.thick_m, units.length))} thick${firing.setup.stand ? '' : ', taken to be no larger than what lies on it'}.`,
        `One of ${text(formatLength(SHELF_REFERENCE_M, units.length))}, ${text(formatLength(SHELF_M, units.length))} thick, takes ${text(formatRate(limits.shelf_C_per_h ?? 0, units.temperature))}. That falls with the power 1.5 of the length up to half a metre. A thicker shelf climbs slower in proportion.`,
        ...(stand.bears === undefined || stand.bears === 1
          ? []
          : [`Its material takes ${stand.bears.toFixed(2)} times the rate of cordierite, by how it evens out over how it swells.`]),
        `It counts up to ${text(formatTemperature(SHELF_PAST_C, units.temperature))}. Typical: what its maker says stands above it.`,
      ];
    case 'mouldPace': {
      const degrees = (celsius: number): string => text(formatTemperature(celsius, units.temperature));
      const [usual, pace] = [INVESTMENT_PACE.C_per_h, reading.allowed].map((rate) => text(formatRate(rate, units.temperature)));
      return [
        `Silica swells at once near ${degrees(220)} to ${degrees(270)} and at ${degrees(573)}: up to ${degrees(INVESTMENT_PACE.past_C)} a wall of ${text(formatLength(INVESTMENT_WALL_M, units.length))} warms at ${usual}. Twice as thick is half as fast: here ${pace}.`,
        'Typical of plaster and silica, half and half: whoever makes the mould knows better.',
      ];
    }
    case 'shelfTop':
      return ['What it lies on, by its material; typical: its maker may say less.'];
    case 'coatTop':
      return [`${coatName(firing)}, by its record: ${text(formatTemperature(reading.allowed, units.temperature))}.`];
    case 'coatPace':
      return [
        `${coatName(firing)}, by its record: ${text(formatRate(reading.allowed, units.temperature))} up to ${text(formatTemperature(firing.setup.coat?.pace?.past_C ?? 0, units.temperature))}.`,
      ];
    case 'kilnTop':
      return [`The kiln's own top, ${text(formatTemperature(kiln.top_C, units.temperature))}.`];
    case 'opening':
      return [
        `A sudden change to room air puts the skin under EαΔT/(1−ν) over 1.5 + 3.25/Bi; for this body that allows ${text(formatTemperature(openingTemperature(firing), units.temperature))},`,
        `never more than ${text(formatTemperature(openingCeiling(limits, depth_m.fired), units.temperature))}.`,
      ];
    case 'filled':
      return ['Volume of the glass, cold, over that of the water that fills the mould.'];
    case 'heldThrough':
    case 'coneLeast':
    case 'coneMost':
      return [];
  }
}

const coatName = ({ setup: { coat } }: Question['firing']): string => (coat ? `'${coat.name}'` : 'What is under the glass');

/** What a limit is about, as one artist would say it to another. */
function plainly({ limit }: Reading): string {
  switch (limit) {
    case 'pull':
      return 'The outside of the glass is always ahead of its middle, and the one strains against the other: while it is brittle it cracks where that grows too great.';
    case 'climbing':
      return 'Soft glass takes more than brittle glass. A large difference now shows later: edges done before the middle.';
    case 'setting':
      return 'What is colder here sets first, and the difference stays in the glass for good as stress.';
    case 'even':
      return 'Before it cools, the whole piece must be one temperature; a difference left over is built in.';
    case 'relaxed':
      return 'Given time in the annealing range, glass lets go of the stress it holds.';
    case 'soakTime':
      return 'Even if it is even sooner, practice gives this thickness so much time in the annealing range.';
    case 'residual':
      return 'Some tension always stays. Little enough, and the piece lives; too much, and a knock or a cold night is its end.';
    case 'squeeze':
      return 'Sheets must settle while their rim is still open, so that the air between them gets out.';
    case 'workLeast':
      return 'What heat does to glass is temperature and time together; this is how much of it the look takes to come.';
    case 'workMost':
      return 'What heat does to glass is temperature and time together; past this the look is lost.';
    case 'haze':
      return 'Between sticking and flowing the skin grows crystals if it dawdles: it comes out dull.';
    case 'coating':
      return 'A bare metal coating lifts while the glass under it softens and nothing holds it down yet.';
    case 'kilnPace':
      return 'The kiln has only so much power; asked for more it comes later than the sheet says.';
    case 'shelfPace':
      return 'Shelves and moulds are brittle as glass is: a large one that is hurried cracks first.';
    case 'mouldPace':
      return 'A mould of plaster and silica swells in leaps as it is warmed; hurried through them it cracks.';
    case 'shelfTop':
      return 'Past its top heat a shelf bends, a board crumbles, a mould loses its form.';
    case 'coatPace':
      return 'Primer, paper and spray are bound with something that has to burn away; hurried, a coat lifts off or its smoke is caught in the glass.';
    case 'coatTop':
      return 'Past its top heat a coat sinters or breaks down, and glass and shelf become one.';
    case 'kilnTop':
      return 'Ask no kiln for more than it was built for.';
    case 'opening':
      return 'Room air is a shock to glass that is not yet cold: the skin shrinks at once, the middle does not. Thick work takes less of it.';
    case 'filled':
      return 'Hot glass sinks and fills a mould from its floor. Where there is too little, the top of the piece is missing.';
    case 'heldThrough':
      return 'The kiln is warm long before the middle of a wall is; what counts is how long its coldest place has been.';
    case 'coneLeast':
      return 'Clay goes by heat and time together, as cones do: too little, and the mould stays soft and weak.';
    case 'coneMost':
      return 'Clay goes by heat and time together, as cones do: too much, and the mould no longer drinks, and grips.';
  }
}

/** The same of what has no glass in it, where it is otherwise. */
const EMPTY_PLAINLY: Partial<Record<Reading['limit'], string>> = {
  shelfPace: 'A large shelf that is hurried cracks: its middle lags behind its edges.',
  opening: 'A hot shelf or mould burns hands and cracks in cold air.',
  mouldPace: 'A wall swells and shrinks in leaps as its quartz or its binder changes; hurried through them it cracks.',
};

/** Opens with a sentence in plain words, then what was found and what is allowed with the margin, then the reckoning. */
export function reckoningOf(asked: Asked): string[] {
  const question: Question = { ...asked, firing: resolved(asked.firing) };
  const { reading, units } = question;
  const margin = Math.round(marginOf(reading) * 100);
  const written = (value: number): string => {
    switch (reading.unit) {
      case 'C':
        return text(formatTemperature(value, units.temperature));
      case 'K':
        return `${differenceIn(value, units.temperature).toFixed(2)} °${units.temperature}`;
      case 'K/h':
        return text(formatRate(value, units.temperature));
      case 'Pa':
        return text(formatStress(value, units.length));
      case 's':
        return text(formatDuration(value));
      case '1/Pa':
        return `${scientific(value)} 1/Pa`;
      case '1':
        return value.toFixed(1);
    }
  };
  return [
    (emptyFiringOf(question.firing) ? EMPTY_PLAINLY[reading.limit] : undefined) ?? plainly(reading),
    `Simulated ${written(reading.value)}; ${reading.sense === 'atMost' ? 'at most' : 'at least'} ${written(reading.allowed)}: ${margin >= 0 ? `${margin} % to spare` : `${-margin} % over`}.`,
    ...linesOf(question),
  ];
}
