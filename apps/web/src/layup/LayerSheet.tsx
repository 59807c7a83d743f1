/** Slides up for one layer: its depth, cover and number, its form, its glass from the shelf, its place. */
import { footprintArea } from '@torvin/core/body';
import {
  LAYERS_AT_MOST,
  LAYER_KINDS,
  type LaidLayer,
  type LayerForm,
  changeLayer,
  glassName,
  inForm,
  laidLayers,
  moveLayer,
  removeLayer,
  repeatLayer,
  turnLayer,
} from '@torvin/core/piece';
import type { Shelves } from '@torvin/schema';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { v7 as uuid } from 'uuid';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Drawer } from '@/ui/Drawer';
import { Caution } from '@/ui/Caution';
import { Words } from '@/ui/Words';
import { GlassChoice } from '@/shelves/GlassChoice';
import { facesDiffer, glassOf, madeInto, madeOf } from '@/shelves/everyGlass';
import { LayerFigures } from './LayerFigures';
import type { Layup } from './useLayup';
import { LAYER_SHEET } from './words';
import { WORDS } from '@/ui/said';

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
  const { length } = useUnits();
  const { doc } = layup;
  const glass = glassOf(shelves, layer.glassId);
  const change = (next: LaidLayer, what: string): void => layup.edit(changeLayer(doc, next), `${what} ${layer.id}`);
  const move = (to: number): void => {
    layup.edit(moveLayer(doc, layer.id, to));
    onSelect(Math.min(Math.max(to, 0), count - 1));
  };
  const setForm = (form: LayerForm): void => {
    const next = inForm(layer, form, length);
    change(next.form === 'sheet' && glass?.coated ? { ...next, coated: 'up' } : next, 'form');
  };
  return (
    <Drawer
      title={name}
      subtitle={LAYER_SHEET.layerShelf(glassName(shelves, layer.glassId), LAYER_KINDS[layer.form].name.toLowerCase(), index + 1, count)}
      label={LAYER_SHEET.itsFigures(name)}
      closeLabel={LAYER_SHEET.doneWith(name)}
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
        <Action
          kind="second"
          title={LAYER_SHEET.up}
          label={LAYER_SHEET.moveUp(name)}
          disabled={index === count - 1}
          testID="layer-up"
          onPress={() => move(index + 1)}
        />
        <Action
          kind="second"
          title={LAYER_SHEET.down}
          label={LAYER_SHEET.moveDown(name)}
          disabled={index === 0}
          testID="layer-down"
          onPress={() => move(index - 1)}
        />
        {((layer.form === 'sheet' && layer.coated) || facesDiffer(shelves, layer.glassId)) && (
          <Action
            kind="second"
            title={LAYER_SHEET.turnOver}
            testID="layer-turn"
            onPress={() => layup.edit(turnLayer(doc, layer.id, facesDiffer(shelves, layer.glassId)))}
          />
        )}
        <Action
          kind="second"
          title={LAYER_SHEET.layAnother}
          label={LAYER_SHEET.layAnotherLike(name)}
          disabled={laidLayers(doc).length >= LAYERS_AT_MOST}
          testID="layer-repeat"
          onPress={() => {
            layup.edit(repeatLayer(doc, layer.id, uuid()));
            onSelect(index + 1);
          }}
        />
        <Action
          kind="second"
          title={WORDS.remove}
          label={LAYER_SHEET.remove(name)}
          disabled={laidLayers(doc).length === 1}
          testID="layer-remove"
          onPress={() => {
            layup.edit(removeLayer(doc, layer.id));
            onSelect(null);
          }}
        />
      </View>
      <Choice
        label={LAYER_SHEET.form}
        value={layer.form}
        options={[...new Set([...(glass?.forms ?? []), layer.form, 'chunks' as const])].map((form) => ({ value: form, title: LAYER_KINDS[form].name }))}
        onChange={setForm}
        testID="form"
      />
      <Words size="label" tone="muted">
        {WORDS.glass}
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
      <Caution about={layer.form} starts>
        {LAYER_KINDS[layer.form].caution}
      </Caution>
    </Drawer>
  );
}
