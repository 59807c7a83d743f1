/**
 * How a piece that is stuck comes free of the form that shaped it. Which way helps follows from which of the two draws in more: where that
 * is the inner one, cold gives room; where it is the outer one, cold tightens, and only warmth opens it, wholly where the glass set.
 * Lengths in m, temperatures in °C.
 */
import { type FormShape, depthOf, roomOfForm } from '../form/shape';
import type { GlassConstants } from '../glass/constants';
import type { Units } from '../units/convert';
import { formatLength, formatTemperature, text } from '../units/format';
import { formClearance } from './formClearance';

/** So far it has to be able to drop, to be seen to hang loose; and so much further than it is deep, to be free of the form on all sides. */
export const DROPS_M = 0.02;
export interface Rescue {
  way: 'into' | 'over';
  /** cold: the colder the more room; warm: cold tightens; neither: both draw in alike, or its shape holds it. */
  by: 'cold' | 'warm' | 'neither';
  /** How much further the inner one has drawn in than the outer one since the glass set; negative: so much too tight, but for what lies between. */
  room_m: number;
  /** How much narrower, on each side, the form is where the glass has to pass; 0 where its shape does not hold it. */
  hooks_m: number;
  /** Where the glass sets: from here on nothing grips, whatever it was. */
  opens_C: number;
  /** Room under the form that is turned over, so that the piece can drop clear of it, and how high all of it is then. */
  drops_m: number;
  stands_m: number;
  /** What the kiln leaves of that room; Infinity where it is not known how high it is. */
  roomFor_m: number;
}

/** deep_m: of the glass, thick; inside_m: how high the kiln is, where that is known. Null of what glass only lies on or is broken out of. */
export function rescueOf(glass: GlassConstants, form: FormShape, deep_m: number, inside_m = Infinity): Rescue | null {
  const told = formClearance(glass, form, 0);
  if (!told) return null;
  const { way, room_m, set_C } = told;
  const hooks = told.verdict === 'hooks';
  // As deep as what hangs in it or over it, its thickness, and so much more.
  const drops_m = (form.use === 'dam' ? 0 : depthOf(form)) + deep_m + DROPS_M;
  const { high_m } = roomOfForm(form);
  return {
    way,
    by: told.verdict === 'near' || (hooks && room_m > 0) ? 'neither' : room_m > 0 ? 'cold' : 'warm',
    hooks_m: hooks ? told.hooks_m : 0,
    room_m,
    opens_C: set_C,
    drops_m,
    stands_m: drops_m + high_m,
    roomFor_m: inside_m - high_m,
  };
}

const SOAKS: Partial<Record<FormShape['material'], string>> = {
  plasterSilica: 'Soak it. Remove the plaster wet, in small pieces, thick places first.',
  stainless: 'Warm water softens primer, not nitride; the steel is dried at once.',
  mildSteel: 'Warm water softens primer, not nitride; the steel is dried at once, or it rusts.',
  fibre: 'Wet it and peel it away: fibre gives, and its dust stays down.',
  vermiculite: 'Wet it and cut it away in pieces: its dust stays down.',
};
const SOAKS_CLAY = 'Stand it in warm water for some hours: primer softens and lets go. What is of clay is dried slowly before it is fired again.';

export interface RescueTold {
  verdict: string;
  /** In their order. */
  steps: string[];
  caution: string;
  /** Whether the firing that opens it comes first, or last where all else failed. */
  warms: 'first' | 'last';
}

export function rescueWords(rescue: Rescue, form: Pick<FormShape, 'use' | 'material'>, units: Units): RescueTold {
  const { way, by, room_m, hooks_m, opens_C, drops_m, stands_m, roomFor_m } = rescue;
  const long = (metres: number): string => text(formatLength(metres, units.length));
  const degrees = text(formatTemperature(opens_C, units.temperature));
  const what = way === 'over' ? 'former' : form.use === 'dam' ? 'dam' : 'mould';
  const much = long(Math.abs(room_m));
  const soak = SOAKS[form.material] ?? SOAKS_CLAY;
  const stand = way === 'over' ? `The ${what} is held by its foot, or by bars through it.` : 'The posts stand under its rim.';
  const aside = `the ${what} has to be slid aside along the posts as soon as the piece hangs loose: power off at the switch first, two people, and the lid down again for the soak.`;
  const low =
    roomFor_m < drops_m
      ? `To drop clear of it the piece needs ${long(drops_m)} of room below, and this kiln has ${long(Math.max(roomFor_m, 0))}: ${aside}`
      : `With ${long(drops_m)} of room below the piece drops clear of it; all of it stands ${long(stands_m)} high then.${roomFor_m === Infinity ? ` Where the kiln is too low for that, ${aside}` : ''}`;
  const warm = `Warm it upside down on posts, over a bed of blanket: from about ${degrees} on, where the glass set, nothing grips. ${stand} ${low}`;
  // What lies inside, and what lies round it.
  const [inner, outer] = way === 'over' ? [what, 'glass'] : ['glass', what];
  if (by === 'warm')
    return {
      verdict: `Never use cold. The ${outer} has shrunk ${much} more than the ${inner} since the glass set. Colder, it grips harder.`,
      ...{ steps: [soak, warm], caution: CAUTION, warms: 'first' },
    };
  return {
    verdict:
      by === 'cold'
        ? `Cold helps. The ${inner} has shrunk ${much} more than the ${outer} since the glass set. Colder, there is more room.`
        : hooks_m > 0
          ? `Its shape holds it: the ${what} is ${long(2 * hooks_m)} narrower where the glass has to pass, and cold gives nothing.`
          : `Glass and ${what} draw in by as good as the same: what holds it is its surface or its shape, and cold gives nothing.`,
    steps: [
      ...(by === 'cold' ? ['Let it reach room temperature. Then wrap it and leave it in a cold place overnight. Never use a freezer or the tap.'] : []),
      `Hold ${way === 'over' ? 'it' : 'both'} close over a folded towel. Tap the ${what} all round with your hand or a wooden handle, never the glass.`,
      soak,
      `If it still holds: ${warm[0].toLowerCase()}${warm.slice(1)}`,
    ],
    ...{ caution: CAUTION, warms: 'last' },
  };
}

const CAUTION =
  'Open a hot kiln with the power off at the switch. Wear a face shield, long sleeves and gloves. Have tongs, and pads ready for what comes out; nobody does it alone. A cracked piece is under stress: eye protection, gloves, and away from the face.';
