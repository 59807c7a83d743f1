/** A load on paper: its schedule, its pieces, and where each lies. */
import type { Answered } from '@torvin/core/engine';
import { LOOK_NAMES } from '@torvin/core/look';
import { type Clearances, type Lying, type Room, standingOn } from '@torvin/core/kiln';
import { lyingOf } from '@torvin/core/load';
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
  /** Of the kiln, with what stands in it; null where its inside is not known. */
  room: Room | null;
  clear: Clearances;
  kilnName: string;
  units: Units;
}

export function loadPaper({ load, pieces, places, room, clear, kilnName, units }: PrintedLoad, now: number): Paper {
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
        load.entries.map(({ says, cautions, mass_kg, alone }, i) =>
          row(
            LOAD.numbered(i + 1, names[i]),
            [LOAD.alone(LOOK_NAMES[pieces[i].look], hours(alone.total_s)), ...says, ...cautions],
            text(formatMass(mass_kg, units.mass)),
          ),
        ),
      ),
      ...(places && room ? shelfBlocks(load, { places, room, clear }, names) : []),
    ],
  };
}

interface OnPaperShelf {
  places: Answered<'arrange'>;
  room: Room;
  clear: Clearances;
}

function shelfBlocks({ entries }: PrintedLoad['load'], { places, room, clear }: OnPaperShelf, names: readonly string[]): Block[] {
  const shelves = [...new Set(places.placed.map(({ shelf }) => shelf))].sort((a, b) => a - b);
  const scale = Math.min(INSIDE / room.wide_m, DRAWN_AT_MOST / room.long_m);
  return [
    ...(places.left.length > 0 ? [said(LOAD.noRoom(LOAD.list(places.left.map((i) => names[i])), shelves.length))] : []),
    ...shelves.flatMap((shelf): Block[] => {
      const on = places.placed.filter((one) => one.shelf === shelf);
      const stands = standingOn(room, clear, shelf < shelves[shelves.length - 1]).map((one) => outlineSvg(one, room.long_m, scale, 'black'));
      const drawn = [...stands, ...on.map((one) => numberedSvg(lyingOf(one, entries[one.item].outline), one.item + 1, room.long_m, scale))].join('');
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

function outlineSvg({ x_m, y_m, wide_m, long_m, isRound }: Lying, deep_m: number, scale: number, fill: 'none' | 'black'): string {
  const [x, y, w, h] = [x_m * scale, (deep_m - y_m) * scale, wide_m * scale, long_m * scale];
  return isRound
    ? `<ellipse cx="${x}" cy="${y}" rx="${w / 2}" ry="${h / 2}" fill="${fill}" stroke="black"/>`
    : `<rect x="${x - w / 2}" y="${y - h / 2}" width="${w}" height="${h}" fill="${fill}" stroke="black"/>`;
}

function numberedSvg(lies: Lying, nth: number, deep_m: number, scale: number): string {
  const middle = `x="${lies.x_m * scale}" y="${(deep_m - lies.y_m) * scale + 4}"`;
  return `${outlineSvg(lies, deep_m, scale, 'none')}<text ${middle} font-size="12" text-anchor="middle">${nth}</text>`;
}
