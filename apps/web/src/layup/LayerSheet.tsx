/** Slides up for one layer: its depth, cover and number, its form, its glass from the shelf, its place. */
import { footprintArea } from '@torvin/core/body';
import {
  FORM_NAMES,
  LAYERS_AT_MOST,
  type LaidLayer,
  type LayerForm,
  changeLayer,
  inForm,
  isPlaced,
  moveLayer,
  removeLayer,
  repeatLayer,
  turnLayer,
  laidLayers,
  glassName,
} from '@torvin/core/piece';
import {
  COUNT,
  LENGTH,
  METRIC,
  PERCENT,
  formatArea,
  formatLength,
  formatMass,
  formatStock,
  formatStrewn,
  massFrom,
  massIn,
  otherUnits,
  readFigure,
  strewnUnit,
  text,
} from '@torvin/core/units';
import { CHUNK_RANGE_M, COVER_RANGE, GRAIN_RANGE_KG_M2, OVERHANG_RANGE_M, PIECES_AT_MOST, ROD_RANGE_M, SHEET_RANGE_M, type Shelves } from '@torvin/schema';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Drawer } from '@/ui/Drawer';
import { Caution } from '@/ui/Caution';
import { Stepper } from '@/ui/Stepper';
import { Words } from '@/ui/Words';
import { countWords } from '@/ui/countWords';
import { clamp, nextOf, stepFrom } from '@/ui/stepFrom';
import { GlassChoice } from '@/shelves/GlassChoice';
import { facesDiffer, glassOf, madeInto, madeOf } from '@/shelves/everyGlass';
import { FORM_CAUTIONS } from './cautions';
import { Length } from './HandSteppers';
import { strewnWithin } from './typed';
import type { Layup } from './useLayup';

export interface LayerSheetProps {
  layup: Layup;
  pieceId: string;
  layer: LaidLayer;
  /** Its place among those of its step, counted from the lowest, and how many they are. */
  place: { index: number; count: number };
  name: string;
  shelves: Shelves;
  /** To an index among those of its step; null where none is chosen any more. */
  onSelect(index: number | null): void;
}

export function LayerSheet({ layup, pieceId, layer, place: { index, count }, name, shelves, onSelect }: LayerSheetProps) {
  const { doc } = layup;
  const glass = glassOf(shelves, layer.glassId);
  const change = (next: LaidLayer, what: string): void => layup.edit(changeLayer(doc, next), `${what} ${layer.id}`);
  const move = (to: number): void => {
    layup.edit(moveLayer(doc, layer.id, to));
    onSelect(Math.min(Math.max(to, 0), count - 1));
  };
  const setForm = (form: LayerForm): void => {
    const next = inForm(layer, form);
    change(next.form === 'sheet' && glass?.coated ? { ...next, coated: 'up' } : next, 'form');
  };
  return (
    <Drawer
      title={name}
      subtitle={`${glassName(shelves, layer.glassId)}, ${FORM_NAMES[layer.form].toLowerCase()}, layer ${index + 1} of ${count} from the shelf`}
      label={`${name}, its figures`}
      closeLabel={`Done with ${name}`}
      onClose={() => onSelect(null)}
      testID="layer-sheet"
    >
      <LayerFigures
        layer={layer}
        sizes_m={glass?.thicknesses_m ?? []}
        area_m2={footprintArea(doc.footprint)}
        density_kg_m3={shelves.families.find(({ id }) => id === glass?.familyId)?.density_kg_m3}
        change={change}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small, paddingVertical: space.small }}>
        <Action kind="second" title="Up" label={`Move ${name} up`} disabled={index === count - 1} testID="layer-up" onPress={() => move(index + 1)} />
        <Action kind="second" title="Down" label={`Move ${name} down`} disabled={index === 0} testID="layer-down" onPress={() => move(index - 1)} />
        {((layer.form === 'sheet' && layer.coated) || facesDiffer(shelves, layer.glassId)) && (
          <Action
            kind="second"
            title="Turn over"
            testID="layer-turn"
            onPress={() => layup.edit(turnLayer(doc, layer.id, facesDiffer(shelves, layer.glassId)))}
          />
        )}
        <Action
          kind="second"
          title="Lay another"
          label={`Lay another like ${name}`}
          disabled={laidLayers(doc).length >= LAYERS_AT_MOST}
          testID="layer-repeat"
          onPress={() => {
            layup.edit(repeatLayer(doc, layer.id, uuid()));
            onSelect(index + 1);
          }}
        />
        <Action
          kind="second"
          title="Take away"
          label={`Take away: ${name}`}
          disabled={laidLayers(doc).length === 1}
          testID="layer-remove"
          onPress={() => {
            layup.edit(removeLayer(doc, layer.id));
            onSelect(null);
          }}
        />
      </View>
      <Choice
        label="Form"
        value={layer.form}
        options={[...new Set([...(glass?.forms ?? []), layer.form, 'chunks' as const])].map((form) => ({ value: form, title: FORM_NAMES[form] }))}
        onChange={setForm}
        testID="form"
      />
      <Words size="label" tone="muted">
        Glass
      </Words>
      <GlassChoice
        pieceId={pieceId}
        shelves={shelves}
        form={layer.form}
        value={layer.glassId}
        onChange={({ id, coated }) => {
          const made = madeOf(shelves, id);
          const { flipped: _flipped, ...unturned } = layer;
          if (unturned.form !== 'sheet') return change(madeInto({ ...unturned, glassId: id }, made), 'glass');
          const { coated: _side, ...plain } = unturned;
          change(madeInto({ ...plain, glassId: id, ...(coated ? { coated: 'up' } : {}) }, made), 'glass');
        }}
      />
      <Caution about={pieceId}>{FORM_CAUTIONS[layer.form]}</Caution>
    </Drawer>
  );
}

interface FiguresProps {
  layer: LaidLayer;
  sizes_m: readonly number[];
  area_m2: number;
  /** Of its glass; not known where the glass is on no shelf. */
  density_kg_m3?: number;
  change(next: LaidLayer, what: string): void;
}

const MILLIMETRE = 0.001;

/** A figure is stepped by about a tenth of itself, in round steps. */
const stepOf = (value: number): number => 10 ** Math.floor(Math.log10(Math.max(value, 1e-6) * 1.0001)) / 10;

function LayerFigures({ layer, sizes_m, area_m2, density_kg_m3, change }: FiguresProps) {
  const units = useUnits();
  switch (layer.form) {
    case 'sheet':
    case 'cap':
    case 'pieces':
      return (
        <>
          <Stepper
            key={`${layer.id} depth`}
            label="depth"
            shown={formatStock(layer.thickness_m, units.length)}
            other={formatStock(layer.thickness_m, otherUnits(units).length)}
            read={(typed) => readFigure(typed, { of: LENGTH, name: 'The sheet', range: SHEET_RANGE_M }, units)}
            value={layer.thickness_m}
            stepped={(direction) => nextOf(sizes_m, layer.thickness_m, direction)}
            onValue={(thickness_m) => change({ ...layer, thickness_m }, 'depth')}
            testID="layer-depth"
          />
          {layer.form === 'cap' && (
            <Stepper
              key={`${layer.id} overhang`}
              label="over"
              shown={formatLength(layer.overhang_m ?? 0, units.length)}
              other={formatLength(layer.overhang_m ?? 0, otherUnits(units).length)}
              read={(typed) => readFigure(typed, { of: LENGTH, name: 'The overhang', range: OVERHANG_RANGE_M }, units)}
              value={layer.overhang_m ?? 0}
              stepped={(direction) => clamp(stepFrom(layer.overhang_m ?? 0, direction, MILLIMETRE), OVERHANG_RANGE_M)}
              onValue={(overhang_m) => change({ ...layer, overhang_m }, 'overhang')}
              testID="layer-overhang"
            />
          )}
          {isPlaced(layer) && <OnPlan count={layer.placed.length} cover={layer.cover ?? 0} />}
          {layer.form === 'pieces' && !isPlaced(layer) && (
            <>
              <Cover cover={layer.cover} onCover={(cover) => change({ ...layer, cover }, 'cover')} />
              <Stepper
                key={`${layer.id} count`}
                label="number"
                shown={{ figure: String(layer.count), unit: '' }}
                read={(typed) => readFigure(typed, { of: COUNT, name: 'The number of pieces', range: { least: 1, most: PIECES_AT_MOST } }, units)}
                value={layer.count}
                stepped={(direction) => clamp(layer.count + direction, { least: 1, most: PIECES_AT_MOST })}
                onValue={(count) => change({ ...layer, count }, 'number')}
                testID="layer-count"
              />
            </>
          )}
        </>
      );
    case 'rod':
    case 'stringer':
      return (
        <>
          <Stepper
            key={`${layer.id} diameter`}
            label="across"
            shown={formatStock(layer.diameter_m, units.length)}
            other={formatStock(layer.diameter_m, otherUnits(units).length)}
            read={(typed) => readFigure(typed, { of: LENGTH, name: 'The diameter', range: ROD_RANGE_M }, units)}
            value={layer.diameter_m}
            stepped={(direction) => clamp(stepFrom(layer.diameter_m, direction, MILLIMETRE / 2), ROD_RANGE_M)}
            onValue={(diameter_m) => change({ ...layer, diameter_m }, 'diameter')}
            testID="layer-diameter"
          />
          {isPlaced(layer) ? (
            <OnPlan count={layer.placed.length} cover={layer.cover ?? 0} />
          ) : (
            <Cover cover={layer.cover ?? 1} onCover={(cover) => change({ ...layer, cover }, 'cover')} />
          )}
        </>
      );
    default: {
      const over_m2 = area_m2 * (layer.cover ?? 1);
      const laid = (perArea_kg_m2: number): void => change({ ...layer, perArea_kg_m2 }, 'mass');
      const one = strewnUnit(units).kg_m2;
      return (
        <>
          <Stepper
            key={`${layer.id} per area`}
            label="laid"
            shown={formatStrewn(layer.perArea_kg_m2, units)}
            other={formatStrewn(layer.perArea_kg_m2, otherUnits(units))}
            read={(typed) => strewnWithin(typed, 'perArea', over_m2, units)}
            stepped={(direction) => clamp(one * stepFrom(layer.perArea_kg_m2 / one, direction, stepOf(layer.perArea_kg_m2 / one)), GRAIN_RANGE_KG_M2)}
            onValue={laid}
            testID="layer-mass"
          />
          <Stepper
            key={`${layer.id} in all`}
            label="in all"
            shown={formatMass(layer.perArea_kg_m2 * over_m2, units.mass)}
            other={formatMass(layer.perArea_kg_m2 * over_m2, otherUnits(units).mass)}
            read={(typed) => strewnWithin(typed, 'mass', over_m2, units)}
            stepped={(direction) => {
              const mass = massIn(layer.perArea_kg_m2 * over_m2, units.mass);
              return clamp(massFrom(stepFrom(mass, direction, stepOf(mass)), units.mass) / over_m2, GRAIN_RANGE_KG_M2);
            }}
            onValue={laid}
            testID="layer-mass-all"
          />
          {layer.form === 'chunks' && (
            <>
              <Length
                label="one is thick"
                name="A lump"
                value_m={layer.thick_m}
                range={{ least: CHUNK_RANGE_M.least, most: CHUNK_RANGE_M.most }}
                onValue={(thick_m) => change({ ...layer, thick_m, wide_m: Math.max(layer.wide_m, thick_m) }, 'thickness')}
                testID="layer-thick"
              />
              <Length
                label="and wide"
                name="A lump"
                value_m={layer.wide_m}
                range={{ least: CHUNK_RANGE_M.least, most: CHUNK_RANGE_M.wide }}
                onValue={(wide_m) => change({ ...layer, wide_m, thick_m: Math.min(layer.thick_m, wide_m) }, 'width')}
                testID="layer-wide"
              />
            </>
          )}
          <Cover cover={layer.cover ?? 1} onCover={(cover) => change({ ...layer, cover }, 'cover')} />
          <Words size="label" tone="muted">
            {`over ${text(formatArea(over_m2, units.length))}${density_kg_m3 === undefined ? '' : `, ${text(formatLength(layer.perArea_kg_m2 / density_kg_m3, units.length))} deep once it has melted`}`}
          </Words>
        </>
      );
    }
  }
}

/** Number and cover follow from where the parts lie. */
function OnPlan({ count, cover }: { count: number; cover: number }) {
  return (
    <Words size="label" tone="muted" testID="layer-placed">
      {`${countWords(count, 'part lies', 'parts lie')} on the plan and ${count === 1 ? 'covers' : 'cover'} ${percent(cover)}; move, add or take them away from above.`}
    </Words>
  );
}

const percent = (share: number): string => `${share < 0.095 ? (100 * share).toFixed(1) : Math.round(100 * share)} %`;

function Cover({ cover, onCover }: { cover: number; onCover(cover: number): void }) {
  return (
    <Stepper
      label="covers"
      shown={{ figure: String(Math.round(cover * 100)), unit: '%' }}
      read={(typed) => readFigure(typed, { of: PERCENT, name: 'The share of the outline', range: COVER_RANGE }, METRIC)}
      value={cover}
      stepped={(direction) => clamp(stepFrom(cover, direction, 0.05), COVER_RANGE)}
      onValue={onCover}
      testID="layer-cover"
    />
  );
}
