/** The shelves of the kiln from above: where each piece lies and how it is moved, what is too near, and what is lifted. */
import type { Answered } from '@torvin/core/engine';
import { type Clearances, type Room, chamberOf } from '@torvin/core/kiln';
import type { Clash, Placed } from '@torvin/core/load';
import { type Units, formatDifference, formatLength, formatMass, text } from '@torvin/core/units';
import type { Kiln } from '@torvin/schema';
import { useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { ShelfDrawing } from './ShelfDrawing';
import { type Arranged, shelvesOf } from './useArranged';
import { LOAD } from './words';

type Load = Answered<'load'>;

const SHELVES = [1, 2, 3, 4] as const;
/** From here on two people lift it, kg. */
const TWO_LIFT_FROM_KG = 20;
/** No wider, px: the list beside it says the same. */
const WIDEST = 420;

export interface OnShelfProps {
  load: Load;
  names: readonly string[];
  /** Of the pieces, in the same order. */
  ids: readonly string[];
  arranged: Arranged;
  kiln: Kiln | undefined;
  /** Of each piece, by how much its place is hotter than the middle, K. */
  hotter_K: readonly number[];
}

export function OnShelf({ load, names, ids, arranged, kiln, hotter_K }: OnShelfProps) {
  const units = useUnits();
  // By the piece: another choice of pieces gives it another number.
  const [chosenId, choose] = useState<string | null>(null);
  const chosen = chosenId === null || !ids.includes(chosenId) ? null : ids.indexOf(chosenId);
  const { room, places, shelves, setShelves, clear, clashes, isMoved, move, again } = arranged;
  if (!room) return <Words tone="muted">{LOAD.roomUnknown}</Words>;
  const placed = places?.placed ?? [];
  const many = shelvesOf(placed);
  const carrying = [...new Set(placed.map(({ shelf }) => shelf))].sort((a, b) => a - b);
  const heavy = (some: readonly Placed[]): number => some.reduce((sum, { item }) => sum + load.entries[item].mass_kg, 0);
  const taken = placed.find(({ item }) => item === chosen);
  const tooNear = new Set(clashes.flatMap((clash) => [clash.item, ...(typeof clash.with === 'number' ? [clash.with] : [])]));
  return (
    <View style={{ gap: space.medium }}>
      <Choice
        label={LOAD.shelves}
        value={String(shelves)}
        options={SHELVES.map((n) => ({ value: String(n), title: String(n) }))}
        onChange={(n) => setShelves(Number(n))}
        testID="load-shelves"
      />
      {clashes.length > 0 && (
        <Notice tone="warn" testID="load-too-near">
          {clashes.map((clash) => clashWords(clash, names, units)).join(' ')}
        </Notice>
      )}
      {carrying.map((shelf) => {
        const here = placed.filter((one) => one.shelf === shelf);
        const mass_kg = heavy(here);
        return (
          <View key={shelf} style={{ gap: space.small }} testID={`load-shelf-${shelf}`}>
            <Words bold>{LOAD.shelf(shelf + 1, text(formatMass(mass_kg, units.mass)))}</Words>
            <MeasuredWidth>
              {(width) => (
                <ShelfDrawing
                  {...{ room, clear, placed: here, names, tooNear, chosen }}
                  items={load.entries.map(({ outline }) => outline)}
                  bears={shelf < many - 1}
                  width={Math.min(width, WIDEST)}
                  onChoose={(item) => choose(ids[item] ?? null)}
                  onMove={move}
                />
              )}
            </MeasuredWidth>
            <Words size="label">{here.map(({ item }) => placeWords(item, names, hotter_K[item] ?? 0, units)).join(', ')}</Words>
            {mass_kg >= TWO_LIFT_FROM_KG && <Words tone="warn">{LOAD.twoLift}</Words>}
          </View>
        );
      })}
      {placed.length > 0 && (
        <Words size="label" tone="muted" testID="load-stores">
          {storesWords(load, kiln)}
        </Words>
      )}
      {carrying.length > 1 && <Words bold>{LOAD.inAll(text(formatMass(heavy(placed), units.mass)))}</Words>}
      {placed.length > 0 && (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
          {taken && <Action kind="second" title={LOAD.turn(names[taken.item])} testID="load-turn" onPress={() => move({ ...taken, turned: !taken.turned })} />}
          {taken && taken.shelf < shelves - 1 && (
            <Action kind="second" title={LOAD.up} testID="load-up" onPress={() => move({ ...taken, shelf: taken.shelf + 1 })} />
          )}
          {taken && taken.shelf > 0 && <Action kind="second" title={LOAD.down} testID="load-down" onPress={() => move({ ...taken, shelf: taken.shelf - 1 })} />}
          {isMoved && <Action kind="second" title={LOAD.again} testID="load-arrange" onPress={again} />}
        </View>
      )}
      <Words size="label" tone="muted">
        {seenWords(room, clear, many, kiln, units)}
      </Words>
    </View>
  );
}

function storesWords({ load_J_K }: Load, kiln: Kiln | undefined): string {
  const chamber_J_K = kiln ? chamberOf(kiln) : null;
  return chamber_J_K === null ? LOAD.powerUnknown : LOAD.storesBy((1 + load_J_K / chamber_J_K).toFixed(2));
}

function placeWords(item: number, names: readonly string[], hotter_K: number, { temperature }: Units): string {
  const by = text(formatDifference(Math.abs(hotter_K), temperature));
  return `${LOAD.numbered(item + 1, names[item])}${Math.abs(hotter_K) < 0.5 ? '' : LOAD.placeIs(by, hotter_K > 0)}`;
}

/** What is drawn, what has to be free, and where that is set. */
function seenWords(room: Room, { between_m, wall_m, over_m, elements_m, probe_m }: Clearances, shelves: number, kiln: Kiln | undefined, units: Units): string {
  const written = (metres: number): string => text(formatLength(metres, units.length));
  const { elements, probe, high_m } = room;
  return [
    kiln?.door === 'front' ? LOAD.doorBelow : LOAD.frontBelow,
    LOAD.clearances(written(between_m), written(wall_m), high_m === null ? null : written(over_m)),
    ...(shelves > 1 ? [LOAD.posts] : []),
    ...(elements === undefined ? [LOAD.elementsUnknown] : elements === 'top' ? [LOAD.inLid(written(elements_m))] : [LOAD.inWalls(written(elements_m))]),
    ...(probe ? [LOAD.probe(written(probe_m))] : []),
    LOAD.dragged,
    LOAD.ofRecord,
  ].join(' ');
}

function clashWords({ item, with: other, short_m }: Clash, names: readonly string[], { length }: Units): string {
  const short = text(formatLength(short_m, length));
  if (other === 'height') return LOAD.tooHigh(short);
  return LOAD.tooNear(names[item], typeof other === 'number' ? names[other] : LOAD.things[other], short);
}
