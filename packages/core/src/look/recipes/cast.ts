/** What castings share: glass that sinks into a mould and fills it, and is annealed by its thickest section. */
import { bodyFigures, mainGlass, openEdge } from '../../body/body';
import { detailAfter, finestDetail, workToFill } from '../../flow/fill';
import type { WorkRange } from '../../flow/heatWork';
import { type Outcome, found, refused } from '../../problem';
import type { Units } from '../../units/convert';
import { formatLength, formatMass, text } from '../../units/format';
import { CAST_FLAWS } from '../flaws';
import type { OwnFigure, Recipe, WorkQuestion } from '../recipe';
import { type Cavity, cavityOf } from '../shaping';
import { byTension, laterWork, times } from '../works';

/** A detail that never comes is asked to this much of what would come at last. */
const NEARLY = 1.05;

/** Glass in a mould bears more heat than it needs: what is aimed at lies over the middle, so that seams heal and seed rises. */
const AIM_OVER_LEAST = 2.67;

/** Nobody sees a corner rounder than this, m. */
const UNSEEN_M = 0.0001;

/** headOf: what presses the glass into its corners, m. */
export function castWork(asked: WorkQuestion, name: string, headOf: (cavity: Cavity) => number = ({ thick_m }) => thick_m): Outcome<WorkRange> {
  const { body, works } = asked;
  const cavity = cavityOf(asked.shaping);
  if (cavity === null)
    return refused('missing', 'setup.shaping', `A ${name} needs its cavity: the thickest and the thinnest section, and the wall of the mould.`);
  const glass = mainGlass(body);
  const usual = times(laterWork(works, 'cast'), byTension(body));
  if (cavity.detail_m === undefined) return found(usual);
  const fills = workToFill(glass, headOf(cavity), openEdge(body), cavity.detail_m);
  if (!Number.isFinite(fills)) {
    const finest = (['mm', 'in'] as const).map((unit) => text(formatLength(NEARLY * finestDetail(glass, headOf(cavity)), unit))).join(' or ');
    return refused(
      'impossible',
      'setup.shaping.detail_m',
      `So little depth cannot press glass into a detail so fine: its own skin bridges all that is finer than a radius of ${finest}. More depth over it, or a reservoir above, presses harder.`,
    );
  }
  const least = Math.max(usual.least, fills);
  return found({ least, most: Math.max(usual.most, least * (usual.most / usual.least)) });
}

export function castFigures(
  asked: WorkQuestion,
  work_perPa: number,
  { length, mass }: Units,
  headOf: (cavity: Cavity) => number = ({ thick_m }) => thick_m,
): OwnFigure[] {
  const cavity = cavityOf(asked.shaping);
  if (cavity === null) return [];
  const { body } = asked;
  const radius_m = Math.max(UNSEEN_M, detailAfter(mainGlass(body), headOf(cavity), openEdge(body), work_perPa));
  const { figure, unit } = formatLength(radius_m, length);
  return [
    {
      label: 'fills to',
      figure,
      unit,
      sentence: `It fills corners down to a radius of about ${text({ figure, unit })}; ${text(formatMass(bodyFigures(body).mass_kg, mass))} of glass come to stand ${text(formatLength(cavity.thick_m, length))} deep where it is thickest.`,
    },
  ];
}

/** All but its words, its form and how long it is held. */
export const CAST = {
  group: 'cast',
  squeezes: false,
  levels: true,
  joins: true,
  flows: true,
  flaws: CAST_FLAWS,
  uneven: 1,
  hold_s: { cooler: 14400, hotter: 7200, least: 3600, most: 259200 },
  law: 'Corners fill to R = γ/(ρgh) + (R₀ − γ/(ρgh))·exp(−ρghW/4). That seams heal and seed rises takes more work than that; it is typical of practice.',
  aim: ({ least }: WorkRange) => AIM_OVER_LEAST * least,
  fills({ shaping }) {
    const cavity = cavityOf(shaping);
    return (
      cavity && {
        ...{ thick_m: cavity.thick_m, thin_m: cavity.thin_m },
        ...(cavity.slender ? { slender: cavity.slender } : {}),
      }
    );
  },
  tells: (asked, work_perPa, units) => castFigures(asked, work_perPa, units),
} as const satisfies Partial<Recipe>;

export const CAST_CARE =
  'Investment dust harms the lungs for good: a respirator when it is mixed and when it is broken away, and wet it first. A mould that cracks lets hot glass out: stand it on a bed of sand in a tray, with a band or a jacket round it.';
