/** Slides up for the parts that are chosen on the plan: where they lie, how they are turned and cut, what can be done with them. */
import {
  type Alignment,
  type BodyNow,
  type Chosen,
  type LaidLayer,
  type LayStep,
  type Mirror,
  type PartOutline,
  type PlacedPart,
  type Stuff,
  alignParts,
  changePart,
  dealParts,
  formatLength,
  formatStock,
  gapBetween,
  isPlaceable,
  PARTS_AT_MOST,
  mirrorParts,
  middleOf,
  moveParts,
  otherUnits,
  partCorners,
  partSides,
  removeParts,
  repeatInRing,
  repeatInRows,
  spaceParts,
  text,
  turnParts,
  wholeTurn,
} from '@torvin/core';
import { PART_RANGE_M } from '@torvin/core/contract';
import type { Shelves } from '@torvin/schema';
import { type ReactNode, useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useUnits } from '@/data/studio';
import { GlassChoice } from '@/shelves/GlassChoice';
import { glassOf, madeInto, madeOf } from '@/shelves/everyGlass';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Drawer } from '@/ui/Drawer';
import { Stepper } from '@/ui/Stepper';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';
import { clamp, stepFrom } from '@/ui/stepFrom';
import { callOf, withinOf } from './planned';
import { lengthWithin, numberWithin, placeWithin } from './typed';
import type { Layup } from './useLayup';

export interface PartSheetProps {
  layup: Layup;
  pieceId: string;
  step: LayStep;
  body: BodyNow;
  /** Every part of the step. */
  parts: readonly Chosen[];
  selected: readonly string[];
  shelves: Shelves;
  onSelect(ids: string[]): void;
}

type Doing = 'repeat' | 'mirror' | 'ring' | 'line' | 'cut' | null;

export function PartSheet({ layup, pieceId, step, body, parts, selected, shelves, onSelect }: PartSheetProps) {
  const units = useUnits();
  const [doing, setDoing] = useState<Doing>(null);
  const chosen = parts.filter(({ id }) => selected.includes(id));
  const [first] = chosen;
  const layer = step.layers.find(({ id }) => id === first.layerId);
  const glass = glassOf(shelves, layer?.glassId);
  if (!layer || !isPlaceable(layer)) return null;
  const { doc } = layup;
  const ids = chosen.map(({ id }) => id);
  const ofLayer = parts.filter(({ layerId }) => layerId === first.layerId);
  const title =
    chosen.length === 1 ? callOf(layer, first, glass?.name ?? layer.glassId, ofLayer.length > 1 ? ofLayer.indexOf(first) + 1 : null) : `${chosen.length} parts`;
  const toggle = (what: Doing): void => setDoing(doing === what ? null : what);
  const { edit } = layup;
  /** What a copying edit has laid is chosen with what was. */
  const editAndChoose = (outcome: Parameters<Layup['edit']>[0], made: readonly string[]): void => {
    layup.edit(outcome);
    if (outcome.ok) onSelect([...ids, ...made]);
    setDoing(null);
  };
  const layerIds = ofLayer.map(({ id }) => id);
  return (
    <Drawer
      title={title}
      subtitle={subtitleOf(chosen, parts, layer, glass?.name ?? layer.glassId, units.length)}
      label={`${title}, on the plan`}
      closeLabel={`Done with ${title}`}
      onClose={() => onSelect([])}
      testID="part-sheet"
    >
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Does title="Repeat" on={doing === 'repeat'} onPress={() => toggle('repeat')} testID="part-repeat" />
        <Does title="Mirror" on={doing === 'mirror'} onPress={() => toggle('mirror')} testID="part-mirror" />
        <Does title="Ring of …" on={doing === 'ring'} onPress={() => toggle('ring')} testID="part-ring" />
        {chosen.length > 1 && <Does title="Line up" on={doing === 'line'} onPress={() => toggle('line')} testID="part-line" />}
        <Does title="Glass" on={doing === 'cut'} onPress={() => toggle('cut')} testID="part-glass" />
        {layerIds.length > chosen.length && (
          <Action
            kind="second"
            title={`All ${layerIds.length}`}
            label={`Choose all ${layerIds.length} of this glass`}
            testID="part-all"
            onPress={() => onSelect(layerIds)}
          />
        )}
        <Action
          kind="second"
          title="Take away"
          label={`Take away: ${title}`}
          testID="part-remove"
          onPress={() => {
            edit(removeParts(doc, step.id, ids));
            onSelect([]);
          }}
        />
      </View>
      {doing === 'repeat' && (
        <Repeat
          most={PARTS_AT_MOST}
          unit={units.length}
          onLay={(row) => {
            const { made, newId } = collected();
            editAndChoose(repeatInRows(doc, step.id, ids, row, newId), made);
          }}
        />
      )}
      {doing === 'ring' && (
        <Ring
          onLay={(count) => {
            const { made, newId } = collected();
            editAndChoose(repeatInRing(doc, step.id, ids, count, newId), made);
          }}
        />
      )}
      {doing === 'mirror' && (
        <MirrorChoice
          onMirror={(way, asWell) => {
            const { made, newId } = collected();
            editAndChoose(mirrorParts(doc, step.id, ids, way, asWell ? newId : null), made);
          }}
        />
      )}
      {doing === 'line' && (
        <LineUp
          count={chosen.length}
          onAlign={(by) => edit(alignParts(doc, step.id, ids, by))}
          onSpace={(along) => edit(spaceParts(doc, step.id, ids, along))}
        />
      )}
      {doing === 'cut' && (
        <CutFrom
          pieceId={pieceId}
          layer={layer}
          sizes_m={glass?.thicknesses_m ?? []}
          shelves={shelves}
          onStuff={(stuff) => edit(dealParts(doc, step.id, ids, stuff, uuid()))}
        />
      )}
      <Places chosen={chosen} body={body} layup={layup} step={step} edit={edit} />
      {chosen.length === 1 && <Sizes part={first} onOutline={(outline) => edit(changePart(doc, step.id, bareOf({ ...first, outline })), `size ${first.id}`)} />}
    </Drawer>
  );
}

/** Ids for copies, and which were given. */
function collected(): { made: string[]; newId(): string } {
  const made: string[] = [];
  return {
    made,
    newId() {
      const id = uuid();
      made.push(id);
      return id;
    },
  };
}

const bareOf = ({ layerId: _layer, across_m: _across, ...part }: Chosen): PlacedPart => part;

function subtitleOf(chosen: readonly Chosen[], parts: readonly Chosen[], layer: LaidLayer, glassName: string, unit: 'mm' | 'in'): string {
  const [first] = chosen;
  const stock =
    'thickness_m' in layer
      ? `sheet ${text(formatStock(layer.thickness_m, unit))}`
      : `${layer.form} ${text(formatStock('diameter_m' in layer ? layer.diameter_m : 0, unit))}`;
  if (chosen.length > 1) return `of ${parts.length} in this step`;
  const corners = partCorners(first, first.across_m);
  const others = parts.filter(({ id }) => id !== first.id);
  const gap = others.reduce((least, other) => Math.min(least, gapBetween(corners, partCorners(other, other.across_m))), Infinity);
  const beside = gap === Infinity ? '' : gap < 5e-5 ? ' · touches its neighbour' : ` · ${text(formatLength(gap, unit))} from its neighbour`;
  return `${stock}, ${glassName}${beside}`;
}

function Does({ title, on, onPress, testID }: { title: string; on: boolean; onPress(): void; testID: string }) {
  return <Action kind={on ? 'main' : 'second'} title={title} testID={testID} onPress={onPress} />;
}

const MILLIMETRE = 0.001;

interface PlacesProps {
  chosen: readonly Chosen[];
  body: BodyNow;
  layup: Layup;
  step: LayStep;
  edit(outcome: Parameters<Layup['edit']>[0], key?: string): void;
}

/** From the left and from the front of the piece, to the middle of what is chosen. */
function Places({ chosen, body, layup, step, edit }: PlacesProps) {
  const units = useUnits();
  const { left, right, front, back } = withinOf(body);
  const ids = chosen.map(({ id }) => id);
  const [x, y] = chosen.length === 1 ? [chosen[0].x_m, chosen[0].y_m] : middleOf(chosen);
  const one = units.length === 'in' ? 0.0254 / 16 : MILLIMETRE;
  const place = (label: string, from: number, to: number, value: number, move: (by: number) => void, testID: string) => (
    <Stepper
      key={`${ids.join()} ${label}`}
      label={label}
      shown={formatLength(value - from, units.length)}
      other={formatLength(value - from, otherUnits(units).length)}
      read={(typed) => placeWithin(typed, to - from, units.length)}
      stepped={(direction) => stepFrom(value - from, direction, one)}
      onValue={(wanted) => move(wanted + from - value)}
      testID={testID}
    />
  );
  return (
    <>
      {place('from left', left, right, x, (by) => edit(moveParts(layup.doc, step.id, ids, by, 0), `x ${ids.join()}`), 'part-x')}
      {place('from front', front, back, y, (by) => edit(moveParts(layup.doc, step.id, ids, 0, by), `y ${ids.join()}`), 'part-y')}
      <Stepper
        key={`${ids.join()} turned`}
        label="turned"
        shown={{ figure: chosen.length === 1 ? String(Math.round(chosen[0].turned_deg * 10) / 10).replace('-', '−') : '0', unit: '°' }}
        read={(typed) => numberWithin(typed.replace('−', '-').replace('°', ''), 'The angle', { least: -360, most: 360 })}
        stepped={(direction) => (chosen.length === 1 ? stepFrom(chosen[0].turned_deg, direction, 5) : 5 * direction)}
        onValue={(degrees) =>
          edit(turnParts(layup.doc, step.id, ids, wholeTurn(degrees - (chosen.length === 1 ? chosen[0].turned_deg : 0))), `turn ${ids.join()}`)
        }
        testID="part-turned"
      />
    </>
  );
}

function Sizes({ part, onOutline }: { part: Chosen; onOutline(outline: PartOutline): void }) {
  const units = useUnits();
  const { outline } = part;
  const size = (label: string, value: number, onValue: (metres: number) => void, testID: string) => (
    <Stepper
      key={`${part.id} ${label}`}
      label={label}
      shown={formatLength(value, units.length)}
      other={formatLength(value, otherUnits(units).length)}
      read={(typed) => lengthWithin(typed, 'The part', PART_RANGE_M.least, PART_RANGE_M.most, units.length)}
      stepped={(direction) => clamp(stepFrom(value, direction, units.length === 'in' ? 0.0254 / 16 : MILLIMETRE), PART_RANGE_M)}
      onValue={onValue}
      testID={testID}
    />
  );
  switch (outline.shape) {
    case 'rectangle':
    case 'oval':
      return (
        <>
          {size('wide', outline.width_m, (width_m) => onOutline({ ...outline, width_m }), 'part-wide')}
          {size('long', outline.length_m, (length_m) => onOutline({ ...outline, length_m }), 'part-long')}
        </>
      );
    case 'disc':
      return size('across', outline.diameter_m, (diameter_m) => onOutline({ shape: 'disc', diameter_m }), 'part-wide');
    case 'strip':
      return size('wide', outline.width_m, (width_m) => onOutline({ ...outline, width_m }), 'part-wide');
    case 'rod': {
      const { length_m, width_m } = partSides(part);
      const straight = outline.along_m.length === 2;
      const long = Math.max(length_m, width_m);
      return straight
        ? size(
            'long',
            long,
            (metres) => onOutline({ ...outline, along_m: outline.along_m.map(([x, y]) => [(x * metres) / long, (y * metres) / long] as const) }),
            'part-long',
          )
        : null;
    }
    default:
      return null;
  }
}

interface Figures {
  count: number;
  rows: number;
  gap_m: number;
  rowGap_m: number;
}

function Repeat({ most, unit, onLay }: { most: number; unit: 'mm' | 'in'; onLay(row: Figures & { staggered: boolean; centred: boolean }): void }) {
  const usual = unit === 'in' ? 0.0254 / 4 : 0.009;
  const [row, setRow] = useState<Figures>({ count: 5, rows: 1, gap_m: usual, rowGap_m: usual });
  const [staggered, setStaggered] = useState(false);
  const [centred, setCentred] = useState(true);
  const number = (label: string, key: 'count' | 'rows') => (
    <Stepper
      label={label}
      shown={{ figure: String(row[key]), unit: '' }}
      read={(typed) => numberWithin(typed, 'The number', { least: 1, most }, 'whole')}
      stepped={(direction) => clamp(row[key] + direction, { least: 1, most })}
      onValue={(value) => setRow({ ...row, [key]: value })}
      testID={`repeat-${key}`}
    />
  );
  const gap = (label: string, key: 'gap_m' | 'rowGap_m', testID: string) => (
    <Stepper
      label={label}
      shown={formatLength(row[key], unit)}
      read={(typed) => lengthWithin(typed, 'The gap', 0, 1, unit)}
      stepped={(direction) => clamp(stepFrom(row[key], direction, unit === 'in' ? 0.0254 / 16 : MILLIMETRE), { least: 0, most: 1 })}
      onValue={(value) => setRow({ ...row, [key]: value })}
      testID={testID}
    />
  );
  return (
    <Panel>
      {number('in a row', 'count')}
      {gap('gap', 'gap_m', 'repeat-gap')}
      {number('rows', 'rows')}
      {row.rows > 1 && gap('between', 'rowGap_m', 'repeat-rowGap')}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: space.large }}>
        {row.rows > 1 && <Tick on={staggered} title="Staggered" testID="repeat-staggered" onPress={() => setStaggered(!staggered)} />}
        <Tick on={centred} title="Round the middle" testID="repeat-centred" onPress={() => setCentred(!centred)} />
      </View>
      <Action
        title={row.rows > 1 ? `Lay ${row.rows} rows of ${row.count}` : `Lay ${row.count} in a row`}
        testID="repeat-lay"
        onPress={() => onLay({ ...row, staggered, centred })}
      />
    </Panel>
  );
}

function Ring({ onLay }: { onLay(count: number): void }) {
  const [count, setCount] = useState(8);
  const range = { least: 2, most: 120 };
  return (
    <Panel>
      <Stepper
        label="in all"
        shown={{ figure: String(count), unit: '' }}
        read={(typed) => numberWithin(typed, 'The number', range, 'whole')}
        stepped={(direction) => clamp(count + direction, range)}
        onValue={setCount}
        testID="ring-count"
      />
      <Action title={`Lay a ring of ${count}`} label={`Lay a ring of ${count} round the middle of the piece`} testID="ring-lay" onPress={() => onLay(count)} />
    </Panel>
  );
}

function MirrorChoice({ onMirror }: { onMirror(way: Mirror, asWell: boolean): void }) {
  return (
    <Panel>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Action kind="second" title="Also left to right" testID="mirror-leftRight" onPress={() => onMirror('leftRight', true)} />
        <Action kind="second" title="Also front to back" testID="mirror-frontBack" onPress={() => onMirror('frontBack', true)} />
        <Action
          kind="second"
          title="Turn it over here"
          label="Turn it over here: its own mirror image in its own place"
          testID="mirror-here"
          onPress={() => onMirror('leftRight', false)}
        />
      </View>
    </Panel>
  );
}

const LINES: readonly { by: Alignment; title: string }[] = [
  { by: 'left', title: 'Left sides' },
  { by: 'middle', title: 'Middles, across' },
  { by: 'right', title: 'Right sides' },
  { by: 'front', title: 'Fronts' },
  { by: 'centre', title: 'Middles, front to back' },
  { by: 'back', title: 'Backs' },
];

function LineUp({ count, onAlign, onSpace }: { count: number; onAlign(by: Alignment): void; onSpace(along: 'x' | 'y'): void }) {
  return (
    <Panel>
      <Words size="label" tone="muted">
        On one line
      </Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        {LINES.map(({ by, title }) => (
          <Action key={by} kind="second" title={title} testID={`align-${by}`} onPress={() => onAlign(by)} />
        ))}
      </View>
      {count > 2 && (
        <>
          <Words size="label" tone="muted">
            As far apart, the outer ones stay
          </Words>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
            <Action kind="second" title="Left to right" testID="space-x" onPress={() => onSpace('x')} />
            <Action kind="second" title="Front to back" testID="space-y" onPress={() => onSpace('y')} />
          </View>
        </>
      )}
    </Panel>
  );
}

interface CutFromProps {
  pieceId: string;
  layer: Extract<LaidLayer, { form: 'pieces' | 'rod' | 'stringer' }>;
  sizes_m: readonly number[];
  shelves: Shelves;
  onStuff(stuff: Stuff): void;
}

/** Another glass, or another of its thicknesses. */
function CutFrom({ pieceId, layer, sizes_m, shelves, onStuff }: CutFromProps) {
  const { length } = useUnits();
  const stuff: Stuff =
    layer.form === 'pieces'
      ? { form: 'pieces', glassId: layer.glassId, thickness_m: layer.thickness_m }
      : { form: layer.form, glassId: layer.glassId, diameter_m: layer.diameter_m };
  return (
    <Panel>
      {stuff.form === 'pieces' && sizes_m.length > 1 && (
        <Choice
          label="Cut from a sheet of"
          value={String(stuff.thickness_m)}
          options={sizes_m.map((size) => ({ value: String(size), title: text(formatStock(size, length)) }))}
          onChange={(size) => onStuff({ ...stuff, thickness_m: Number(size) })}
          testID="part-thickness"
        />
      )}
      <GlassChoice
        shelves={shelves}
        pieceId={pieceId}
        form={stuff.form}
        value={stuff.glassId}
        onChange={({ id }) => onStuff(madeInto({ ...stuff, glassId: id }, madeOf(shelves, id)))}
      />
    </Panel>
  );
}

const Panel = ({ children }: { children: ReactNode }) => <View style={{ gap: space.small, paddingVertical: space.small }}>{children}</View>;
