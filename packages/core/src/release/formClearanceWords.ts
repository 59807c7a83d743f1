/** Whether glass lets go of its form, in words: the verdict with its margin, how it comes about, what helps. */
import { FORM_MATERIALS } from '../form/materials';
import type { FormShape } from '../form/shape';
import type { Units } from '../units/convert';
import { formatLength, formatTemperature, text } from '../units/format';
import { type FormClearance, SLIDES_FROM_DEG } from './formClearance';

export interface LetGoTold {
  /** 'It will fall out: 0.4 mm of room.' */
  verdict: string;
  /** How that comes about. */
  why: string;
  helps: string[];
}

const listed = (parts: readonly string[]): string => (parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} or ${parts[parts.length - 1]}`);

/** Paper comes no thinner than this and is not laid thicker than that, m. */
const PAPER_M = { least: 0.0005, most: 0.006 } as const;

export function formClearanceWords(told: FormClearance, form: Pick<FormShape, 'use' | 'once'>, units: Units, papered = false): LetGoTold {
  const long = (metres: number): string => text(formatLength(metres, units.length));
  const { way, room_m, rides_m, draft_deg, paper_m } = told;
  const what = way === 'over' ? 'former' : form.use === 'dam' ? 'dam' : 'mould';
  const much = long(Math.abs(room_m));
  const lean = `${Math.round(draft_deg)}°`;
  const at =
    told.at_m === null
      ? ''
      : told.at_m < PAPER_M.least
        ? ` at its ${way === 'over' ? 'foot' : 'floor'}`
        : ` ${long(told.at_m)} over its ${way === 'over' ? 'foot' : 'floor'}`;
  const VERDICTS: Record<FormClearance['verdict'], string> = {
    free: way === 'into' ? `It will fall out: ${much} of room.` : `It will lift off: ${much} of room.`,
    near: `It may stick or not${at}: glass and form draw in by as good as the same.`,
    rides: `It will be ${much} too tight${at}, and ride ${long(rides_m ?? 0)} up walls that lean by ${lean}: sound release lets it.`,
    hooks: `It hooks: the ${what} is ${long(2 * told.hooks_m)} narrower ${way === 'into' ? 'at its rim than below' : 'at its foot than above'}.`,
    grips: way === 'into' ? `It will be locked in${at}: ${much} too tight.` : `It will grip${at}: ${much} too tight.`,
  };
  const inward = `Cooling from ${text(formatTemperature(told.set_C, units.temperature))}, where it sets, the glass draws in ${long(told.glass_m)} over ${long(told.size_m)}, the ${what} ${long(told.form_m)}`;
  const gives = papered ? '; what is laid between gives by half of its thickness on each side.' : '.';
  const tight = told.verdict === 'grips' || told.verdict === 'rides' || told.verdict === 'near';
  const paper =
    paper_m <= PAPER_M.most
      ? [`Fibre paper of ${long(Math.max(paper_m, PAPER_M.least))} on every side gives as much.`]
      : [`Paper alone would have to be ${long(paper_m)} thick on every side.`];
  const others = told.instead.map((name) => FORM_MATERIALS[name].name.toLowerCase());
  const isTaken = form.once === true;
  return {
    verdict: isTaken
      ? `It is removed from the glass in pieces.${tight && told.verdict !== 'near' ? ` Until then it holds it: ${much} too tight as it cools, so it has to give sooner than the glass.` : ''}`
      : VERDICTS[told.verdict],
    why: `${inward}${gives}`,
    helps:
      told.verdict === 'hooks' && !isTaken
        ? ['Only a form that bends, or that you break or soak away, lets it out. If it is one, enter that in its record.']
        : tight && !isTaken
          ? [
              ...paper,
              ...(draft_deg < SLIDES_FROM_DEG ? [`Walls that lean by ${SLIDES_FROM_DEG}° and more let it slide up.`] : []),
              ...(others.length > 0 ? [`A ${what} of ${listed(others)} lets go.`] : []),
            ]
          : [],
  };
}
