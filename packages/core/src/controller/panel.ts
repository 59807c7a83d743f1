/**
 * A controller of no make: a small display and a few keys, driven by a profile. It asks for one figure after another, shows what an
 * older program has there, takes what is keyed and refuses what such a controller refuses. Pure: each press gives the next state.
 */
import { celsiusFrom, temperatureIn } from '../units/convert';
import type { PanelRow } from './keyIn';
import { type Controller, type Profile, ROOM_IN, endingHold, holdMeant, keyedRate, profileOf, shownHold } from './profile';

export type FigureKind = 'rate' | 'target' | 'hold';

export type Place =
  | { kind: 'resting' }
  | { kind: 'slot' }
  | { kind: 'count'; slot: number }
  | { kind: 'figure'; slot: number; row: number; figure: FigureKind }
  | { kind: 'review'; slot: number; row: number; figure: FigureKind };

export interface Panel {
  profile: Profile;
  /** By slot from 1; what was never keyed is empty. */
  programs: Readonly<Record<number, readonly PanelRow[]>>;
  place: Place;
  /** Of the program that is keyed: what stands so far, and how many segments it was said to have. */
  draft: readonly Partial<PanelRow>[];
  segments: number;
  typed: string;
  /** Why the last press was refused; empty where it was taken. */
  refused: string;
}

export type Key = '0' | '1' | '2' | '3' | '4' | '5' | '6' | '7' | '8' | '9' | 'mark' | 'enter' | 'back' | 'clear' | 'done' | 'program' | 'review';

export const newPanel = (controller: Controller, programs: Panel['programs'] = {}): Panel => ({
  ...{ profile: profileOf(controller), programs, place: { kind: 'resting' }, draft: [], segments: 0, typed: '', refused: '' },
});

const FIGURES: Record<Profile['order'], readonly FigureKind[]> = { rateFirst: ['rate', 'target', 'hold'], targetFirst: ['target', 'rate', 'hold'] };
export const figuresOf = ({ order }: Profile): readonly FigureKind[] => FIGURES[order];

/** Where its program of one segment at a rate of its own is keyed, on a controller that has one. */
export const PRESET_SLOT = 0;
const figuresIn = (profile: Profile, slot: number): readonly FigureKind[] =>
  slot === PRESET_SLOT ? figuresOf(profile).filter((figure) => figure !== 'rate') : figuresOf(profile);

/** What stands there: what is typed, else what was keyed there before, else what an older program has, else nought. */
export interface Shown {
  asks: string;
  figure: string;
  /** The figure is an older program's. */
  isOld: boolean;
  /** From 1; 0 where no segment is asked for. */
  segment: number;
}

export function shown(panel: Panel): Shown {
  const { place, profile, typed } = panel;
  switch (place.kind) {
    case 'resting':
      return { asks: 'Ready', figure: '', isOld: false, segment: 0 };
    case 'slot':
      return { asks: 'Which program', figure: typed, isOld: false, segment: 0 };
    case 'count': {
      const old = profile.keepsOld ? panel.programs[place.slot]?.length : undefined;
      return { asks: 'How many segments', figure: typed || String(old ?? 0), isOld: typed === '' && old !== undefined, segment: 0 };
    }
    case 'figure': {
      const mine = panel.draft[place.row]?.[KEYS[place.figure]];
      const old = oldFigure(panel, place);
      return {
        asks: asksFor(profile, place.figure),
        figure: typed || written(profile, place.figure, mine ?? old ?? 0),
        isOld: typed === '' && mine === undefined && old !== undefined,
        segment: place.row + 1,
      };
    }
    case 'review': {
      const row = panel.programs[place.slot][place.row];
      return {
        asks: asksFor(profile, place.figure),
        figure: written(profile, place.figure, figureOf(row, place.figure)),
        isOld: false,
        segment: place.row + 1,
      };
    }
  }
}

const asksFor = ({ rateWords, targetWords, holdWords }: Profile, figure: FigureKind): string =>
  figure === 'rate' ? rateWords : figure === 'target' ? targetWords : holdWords;
const written = ({ holdAs }: Profile, figure: FigureKind, value: number): string => (figure === 'hold' ? shownHold(value, holdAs) : String(value));
const KEYS = { rate: 'rate', target: 'target', hold: 'hold_min' } as const;
const figureOf = (row: PanelRow, figure: FigureKind): number => row[KEYS[figure]];

/** What an older program has there, where the controller shows it. */
function oldFigure({ profile, programs }: Panel, { slot, row, figure }: { slot: number; row: number; figure: FigureKind }): number | undefined {
  const old = profile.keepsOld ? programs[slot]?.[row] : undefined;
  return old && figureOf(old, figure);
}

const refusing = (panel: Panel, refused: string): Panel => ({ ...panel, typed: '', refused });
const at = (panel: Panel, place: Place): Panel => ({ ...panel, place, typed: '', refused: '' });

/** Digits that a display has room for, a mark among them. */
const DIGITS_AT_MOST = 5;

export function pressed(panel: Panel, key: Key): Panel {
  const { place, typed } = panel;
  switch (key) {
    case 'program':
      return { ...at(panel, { kind: 'slot' }), draft: [], segments: 0 };
    case 'review':
      return reviewing(panel);
    case 'clear':
      return { ...panel, typed: '', refused: '' };
    case 'back':
      return goneBack(panel);
    case 'done':
      return ended(panel);
    case 'enter':
      return entered(panel);
    default: {
      if (place.kind === 'resting' || place.kind === 'review') return refusing(panel, 'Choose a program first.');
      const mark = markAt(panel);
      if (key === 'mark' && (mark === null || typed === '' || typed.includes(mark))) return refusing(panel, 'Digits alone here.');
      const next = typed + (key === 'mark' ? mark : key);
      return next.length > DIGITS_AT_MOST ? refusing(panel, 'The display is full.') : { ...panel, typed: next, refused: '' };
    }
  }
}

/** What may stand between digits where a figure is asked for. */
function markAt({ place, profile }: Panel): string | null {
  if (place.kind !== 'figure' || place.figure === 'target') return null;
  if (place.figure === 'rate') return Number.isInteger(profile.rateStep) ? null : '.';
  return profile.holdAs === 'minutes' ? null : profile.holdAs === 'point' ? '.' : ':';
}

function entered(panel: Panel): Panel {
  const { place, typed, profile } = panel;
  switch (place.kind) {
    case 'resting':
      return refusing(panel, 'Choose a program first.');
    case 'slot': {
      const slot = Number(typed);
      if (typed !== '' && slot === PRESET_SLOT && profile.preset_K_per_s !== undefined)
        return { ...at(panel, { kind: 'figure', slot, row: 0, figure: 'target' }), draft: [], segments: 1 };
      if (typed === '' || slot < 1 || slot > profile.programs) {
        const preset = profile.preset_K_per_s === undefined ? '' : `, and ${PRESET_SLOT} for one segment at its own rate`;
        return refusing(panel, `It has programs 1 to ${profile.programs}${preset}.`);
      }
      if (slot <= profile.builtIn) return refusing(panel, `Program ${slot} came with it and cannot be written over.`);
      const begun = { ...panel, draft: [], segments: 0 };
      return at(begun, profile.ends === 'count' ? { kind: 'count', slot } : { kind: 'figure', slot, row: 0, figure: figuresOf(profile)[0] });
    }
    case 'count': {
      const count = Number(shown(panel).figure);
      if (count < 1 || count > profile.mostSegments) return refusing(panel, `It holds 1 to ${profile.mostSegments} segments.`);
      return { ...at(panel, { kind: 'figure', slot: place.slot, row: 0, figure: figuresOf(profile)[0] }), segments: count };
    }
    case 'figure':
      return figureEntered(panel, place);
    case 'review':
      return reviewedOn(panel, place);
  }
}

type At = Extract<Place, { kind: 'figure' }>;

function figureEntered(panel: Panel, place: At): Panel {
  const { profile } = panel;
  const text = shown(panel).figure;
  const value = place.figure === 'hold' ? holdMeant(text, profile.holdAs) : Number(text);
  const order = figuresIn(profile, place.slot);
  if (value === 0 && place.figure === order[0] && profile.ends === 'zero' && place.row > 0) return stored(panel, place.slot, panel.draft.slice(0, place.row));
  const refusal = value === null ? 'That is no time here.' : refusalOf(panel, place, value);
  if (refusal) return refusing(panel, refusal);
  const row = { ...panel.draft[place.row], [KEYS[place.figure]]: value };
  const draft = [...panel.draft.slice(0, place.row), row, ...panel.draft.slice(place.row + 1)];
  const further = order[order.indexOf(place.figure) + 1];
  const next = { ...panel, draft };
  if (further) return at(next, { ...place, figure: further });
  if (place.slot === PRESET_SLOT) return stored(next, PRESET_SLOT, [{ ...row, rate: presetRate(profile, row.target ?? 0) }]);
  if (value === endingHold(profile)) return stored(next, place.slot, draft.slice(0, place.row + 1));
  const last = profile.ends === 'count' ? panel.segments : profile.mostSegments;
  return place.row + 1 >= last ? stored(next, place.slot, draft.slice(0, last)) : at(next, { ...place, row: place.row + 1, figure: order[0] });
}

/** Why a figure is not taken; null where it is. */
function refusalOf({ profile }: Panel, { figure }: At, value: number): string | null {
  const { leastRate, mostRate, rateStep, rates, fullSpeedCode, fullSpeedDownCode, targetStep, top_C, unit, mostHold_s, holdAs } = profile;
  const isStep = (step: number): boolean => Math.abs(value / step - Math.round(value / step)) < 1e-6;
  if (figure === 'rate') {
    if (value === fullSpeedCode || value === fullSpeedDownCode) return null;
    if (rates && !rates.includes(value)) return `It has ${rates.join(', ')}, and ${fullSpeedCode} for as fast as it can.`;
    if (value < leastRate || value > mostRate) return `It takes ${leastRate} to ${mostRate}, or ${fullSpeedCode} for as fast as it can.`;
    return isStep(rateStep) ? null : `It counts in steps of ${rateStep}.`;
  }
  if (figure === 'target') {
    if (celsiusFrom(value, unit) > top_C + 1e-6) return `It takes no more than ${Math.round(temperatureIn(top_C, unit))} °${unit}.`;
    return isStep(targetStep) ? null : `It counts in steps of ${targetStep}.`;
  }
  return 60 * value > mostHold_s ? `Its longest hold is ${shownHold(Math.floor(mostHold_s / 60), holdAs)}.` : null;
}

/** Its own rate as it counts rates, to a target in its unit. */
function presetRate(profile: Profile, target: number): number {
  return keyedRate(profile, 3600 * (profile.preset_K_per_s ?? 0), target - ROOM_IN(profile.unit)).figure;
}

const stored = (panel: Panel, slot: number, draft: Panel['draft']): Panel => ({
  ...at(panel, { kind: 'resting' }),
  ...{ programs: { ...panel.programs, [slot]: draft as PanelRow[] }, draft: [], segments: 0 },
});

function ended(panel: Panel): Panel {
  const { place, profile, typed } = panel;
  if (place.kind === 'review') return at(panel, { kind: 'resting' });
  if (profile.ends !== 'done') return refusing(panel, 'It has no such key.');
  if (place.kind !== 'figure' || place.slot === PRESET_SLOT || place.row === 0 || place.figure !== figuresOf(profile)[0] || typed !== '')
    return refusing(panel, 'A program ends where a further segment would begin.');
  return stored(panel, place.slot, panel.draft.slice(0, place.row));
}

function goneBack(panel: Panel): Panel {
  const { place, profile, typed } = panel;
  if (typed !== '') return { ...panel, typed: '', refused: '' };
  if (place.kind !== 'figure') return at(panel, { kind: 'resting' });
  const order = figuresIn(profile, place.slot);
  const index = order.indexOf(place.figure);
  if (index > 0) return at(panel, { ...place, figure: order[index - 1] });
  if (place.row > 0) return at(panel, { ...place, row: place.row - 1, figure: order[order.length - 1] });
  return at(panel, { kind: 'slot' });
}

/** The program keyed last, or that of the slot typed, from its first figure on. */
function reviewing(panel: Panel): Panel {
  const slot = panel.place.kind === 'slot' ? Number(panel.typed) : Number.NaN;
  if (!panel.profile.reviews) return refusing(panel, 'It cannot show a program again.');
  if (!panel.programs[slot]?.length) return refusing(panel, 'Choose a program that it holds.');
  return at(panel, { kind: 'review', slot, row: 0, figure: figuresOf(panel.profile)[0] });
}

function reviewedOn(panel: Panel, place: Extract<Place, { kind: 'review' }>): Panel {
  const order = figuresOf(panel.profile);
  const further = order[order.indexOf(place.figure) + 1];
  if (further) return at(panel, { ...place, figure: further });
  const isLast = place.row + 1 >= panel.programs[place.slot].length;
  return at(panel, isLast ? { kind: 'resting' } : { ...place, row: place.row + 1, figure: order[0] });
}

const keysOf = (text: string): Key[] => [...text].map((one) => (one === '.' || one === ':' ? 'mark' : (one as Key)));

/** What is pressed to key a program into a slot, figure by figure, whatever stands there. */
export function keysFor(rows: readonly PanelRow[], slot: number, controller: Controller): Key[] {
  const profile = profileOf(controller);
  const figures = rows.flatMap((row): Key[] =>
    figuresOf(profile).flatMap((figure): Key[] => [...keysOf(written(profile, figure, figureOf(row, figure))), 'enter']),
  );
  const isFull = rows.length === profile.mostSegments;
  const ends: Record<Profile['ends'], Key[]> = { count: [], hold: [], zero: ['0', 'enter'], done: ['done'] };
  const end = isFull ? [] : ends[profile.ends];
  const count: Key[] = profile.ends === 'count' ? [...keysOf(String(rows.length)), 'enter'] : [];
  return ['program', ...keysOf(String(slot)), 'enter', ...count, ...figures, ...end];
}
