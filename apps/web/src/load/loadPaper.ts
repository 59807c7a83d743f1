/** A load on paper: its schedule, its pieces, and where each lies. */
import type { Answered } from '@torvin/core/engine';
import { LOOK_NAMES } from '@torvin/core/look';
import { type Outline, lyingOf } from '@torvin/core/load';
import { ROLE_NAMES } from '@torvin/core/schedule';
import { type Units, formatDuration, formatMass, text } from '@torvin/core/units';
import type { ForKiln } from '@torvin/schema';
import { format } from 'date-fns/format';
import { type Block, INSIDE, type Paper, part, row, said } from '@/paper/paperPages';
import { rowFigures, setWords } from './rowWords';
import { LOAD } from './words';

export interface PrintedLoad {
  load: Answered<'load'>;
  pieces: readonly ForKiln[];
  places: Answered<'arrange'> | null;
  kilnName: string;
  units: Units;
}

export function loadPaper({ load, pieces, places, kilnName, units }: PrintedLoad, now: number): Paper {
  const hours = (seconds: number): string => text(formatDuration(seconds));
  const names = pieces.map(({ pieceName }) => pieceName);
  return {
    title: LOAD.title,
    about: LOAD.paperAbout(kilnName, hours(load.total_s), format(now, 'd MMM yyyy, HH:mm')),
    blocks: [
      ...(load.converged ? [] : [said(LOAD.notAll)]),
      ...part(
        LOAD.schedule,
        load.segments.map((segment) =>
          row(
            ROLE_NAMES[segment.role],
            [rowFigures(segment, units), setWords(segment.setBy, names)].filter((line) => line !== ''),
          ),
        ),
      ),
      ...part(
        LOAD.whatGoes,
        load.entries.map(({ says, mass_kg, alone }, i) =>
          row(LOAD.numbered(i + 1, names[i]), [LOAD.alone(LOOK_NAMES[pieces[i].look], hours(alone.total_s)), ...says], text(formatMass(mass_kg, units.mass))),
        ),
      ),
      ...(places ? shelfBlocks(load, places, names) : []),
    ],
  };
}

function shelfBlocks({ room, entries }: PrintedLoad['load'], places: Answered<'arrange'>, names: readonly string[]): Block[] {
  if (!room) return [];
  const shelves = [...new Set(places.placed.map(({ shelf }) => shelf))].sort((a, b) => a - b);
  const scale = Math.min(INSIDE / room.wide_m, DRAWN_AT_MOST / room.long_m);
  return [
    ...(places.left.length > 0 ? [said(LOAD.noRoom(LOAD.list(places.left.map((i) => names[i])), shelves.length))] : []),
    ...shelves.flatMap((shelf): Block[] => {
      const on = places.placed.filter((one) => one.shelf === shelf);
      const drawn = on.map((one) => outlineSvg(lyingOf(one, entries[one.item].outline), one.item + 1, room.long_m, scale)).join('');
      const [w, h] = [room.wide_m * scale, room.long_m * scale];
      const wall = room.isRound
        ? `<circle cx="${w / 2}" cy="${h / 2}" r="${w / 2}" fill="none" stroke="black"/>`
        : `<rect width="${w}" height="${h}" fill="none" stroke="black"/>`;
      return part(LOAD.shelfOf(shelf + 1), [{ as: 'drawing', height: h, svg: wall + drawn }]);
    }),
    said(LOAD.frontBelow),
  ];
}

/** Points of the page. */
const DRAWN_AT_MOST = 300;

function outlineSvg(
  { x_m, y_m, wide_m, long_m, isRound }: { x_m: number; y_m: number } & Pick<Outline, 'wide_m' | 'long_m' | 'isRound'>,
  nth: number,
  deep_m: number,
  scale: number,
): string {
  const [x, y, w, h] = [x_m * scale, (deep_m - y_m) * scale, wide_m * scale, long_m * scale];
  const shape = isRound
    ? `<ellipse cx="${x}" cy="${y}" rx="${w / 2}" ry="${h / 2}" fill="none" stroke="black"/>`
    : `<rect x="${x - w / 2}" y="${y - h / 2}" width="${w}" height="${h}" fill="none" stroke="black"/>`;
  return `${shape}<text x="${x}" y="${y + 4}" font-size="12" text-anchor="middle">${nth}</text>`;
}
