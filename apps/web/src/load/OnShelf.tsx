/** The shelves of the kiln from above, to scale: where each piece finds room, and what finds none. */
import type { Answered } from '@torvin/core/engine';
import { type Outline, type Placed, type Room, type Clearances, USUAL_CLEARANCES, lyingOf } from '@torvin/core/load';
import { type Units, formatLength, formatMass, text } from '@torvin/core/units';
import type { Kiln } from '@torvin/schema';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Ellipse, Rect, Text as SvgText } from 'react-native-svg';
import { useUnits } from '@/data/FormUnits';
import { useComputed } from '@/engine/useComputed';
import { useTheme } from '@/theme/ThemeContext';
import { fonts, space, wordSize } from '@/theme/theme';
import { Choice } from '@/ui/Choice';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { Words } from '@/ui/Words';
import { LOAD } from './words';

type Load = Answered<'load'>;

const SHELVES = [1, 2, 3, 4] as const;
/** From here on two people lift it, kg. */
const TWO_LIFT_FROM_KG = 20;
/** No wider, px: the list beside it says the same. */
const WIDEST = 420;

export interface Arranged {
  shelves: number;
  setShelves(shelves: number): void;
  clear: Clearances;
  /** Null while it is calculated, and where the kiln's inside is not known. */
  places: Answered<'arrange'> | null;
}

/** What a kiln's record says has to be free, the usual where it does not. */
export const clearancesOf = ({ betweenPieces_m, fromWalls_m, overPieces_m }: Partial<Kiln>): Clearances => ({
  between_m: betweenPieces_m ?? USUAL_CLEARANCES.between_m,
  wall_m: fromWalls_m ?? USUAL_CLEARANCES.wall_m,
  over_m: overPieces_m ?? USUAL_CLEARANCES.over_m,
});

/** Where all of a load finds room. */
export function useArranged(load: Load | null, clear: Clearances): Arranged {
  const [shelves, setShelves] = useState(1);
  const asked = useMemo(
    () => (load?.room ? { items: load.entries.map(({ outline }) => outline), room: load.room, shelves, clear } : null),
    [load, shelves, clear],
  );
  const { value, stale } = useComputed('arrange', asked);
  return { shelves, setShelves, clear, places: asked && value && !stale ? value : null };
}

export function OnShelf({ load, names, arranged: { shelves, setShelves, clear, places } }: { load: Load; names: readonly string[]; arranged: Arranged }) {
  const units = useUnits();
  const { room, entries } = load;
  const items = entries.map(({ outline }) => outline);
  if (!room) return <Words tone="muted">{LOAD.roomUnknown}</Words>;
  const written = (metres: number): string => text(formatLength(metres, units.length));
  const { between_m, wall_m, over_m } = clear;
  return (
    <View style={{ gap: space.medium }}>
      <Choice
        label={LOAD.shelves}
        value={String(shelves)}
        options={SHELVES.map((n) => ({ value: String(n), title: String(n) }))}
        onChange={(n) => setShelves(Number(n))}
        testID="load-shelves"
      />
      {places && (
        <>
          {Array.from({ length: shelves }, (_, shelf) => shelf)
            .filter((shelf) => places.placed.some((one) => one.shelf === shelf))
            .map((shelf) => (
              <OneShelf
                key={shelf}
                room={room}
                placed={places.placed.filter((one) => one.shelf === shelf)}
                items={items}
                names={names}
                load={load}
                shelf={shelf}
                units={units}
              />
            ))}
          <Words size="label" tone="muted">
            {LOAD.clearances(written(between_m), written(wall_m), written(over_m), room.high_m !== null)}
          </Words>
        </>
      )}
    </View>
  );
}

interface OneShelfProps {
  room: Room;
  placed: readonly Placed[];
  items: readonly Outline[];
  names: readonly string[];
  load: Load;
  shelf: number;
  units: Units;
}

function OneShelf({ room, placed, items, names, load, shelf, units }: OneShelfProps) {
  const mass_kg = placed.reduce((sum, { item }) => sum + load.entries[item].mass_kg, 0);
  const said = placed.map(({ item }) => LOAD.numbered(item + 1, names[item])).join(', ');
  return (
    <View style={{ gap: space.small }} testID={`load-shelf-${shelf}`}>
      <Words bold>{LOAD.shelf(shelf + 1, text(formatMass(mass_kg, units.mass)))}</Words>
      <MeasuredWidth>{(width) => <ShelfDrawing room={room} placed={placed} items={items} width={Math.min(width, WIDEST)} label={said} />}</MeasuredWidth>
      <Words size="label">{said}</Words>
      {mass_kg >= TWO_LIFT_FROM_KG && <Words tone="warn">{LOAD.twoLift}</Words>}
    </View>
  );
}

/** The front of the kiln is at the bottom; each piece has its number in the list. */
function ShelfDrawing({ room, placed, items, width, label }: Pick<OneShelfProps, 'room' | 'placed' | 'items'> & { width: number; label: string }) {
  const { colours } = useTheme();
  const scale = (width - 2) / room.wide_m;
  const height = room.long_m * scale + 2;
  const [x, y] = [(metres: number) => 1 + metres * scale, (metres: number) => height - 1 - metres * scale];
  const line = { fill: colours.surface, stroke: colours.muted, strokeWidth: 1.5 };
  return (
    <Svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} role="img" aria-label={label}>
      {room.isRound ? (
        <Circle cx={width / 2} cy={height / 2} r={width / 2 - 1} {...line} />
      ) : (
        <Rect x={1} y={1} width={width - 2} height={height - 2} {...line} />
      )}
      {placed.map((one) => {
        const { wide_m, long_m, isRound } = lyingOf(one, items[one.item]);
        const drawn = { fill: colours.ground, stroke: colours.ink, strokeWidth: 1.5 };
        return isRound ? (
          <Ellipse key={one.item} cx={x(one.x_m)} cy={y(one.y_m)} rx={(wide_m * scale) / 2} ry={(long_m * scale) / 2} {...drawn} />
        ) : (
          <Rect key={one.item} x={x(one.x_m - wide_m / 2)} y={y(one.y_m + long_m / 2)} width={wide_m * scale} height={long_m * scale} {...drawn} />
        );
      })}
      {placed.map(({ item, x_m, y_m }) => (
        <SvgText key={item} x={x(x_m)} y={y(y_m) + 5} fontSize={wordSize.text} fontFamily={fonts.words} fill={colours.ink} textAnchor="middle">
          {item + 1}
        </SvgText>
      ))}
    </Svg>
  );
}
