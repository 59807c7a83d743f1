/** Lays one more on top: the form first, everything else can be changed once it lies there. */
import { LAYER_KINDS, LAYERS_AT_MOST, LAYER_FORMS, type LayerForm, addLayer, comesAs, inForm, laidLayers, type LayStep } from '@torvin/core/piece';
import type { Shelves } from '@torvin/schema';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { v7 as uuid } from 'uuid';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';
import { glassOf, madeOf } from '@/shelves/everyGlass';
import { firstLayer } from './pieceEntry';
import type { Layup } from './useLayup';
import { ADD_LAYER } from './words';

/** stepId: the step in which it is laid; the first one where left out. */
export function AddLayer({ layup, shelves, stepId, onAdded }: { layup: Layup; shelves: Shelves; stepId?: string; onAdded(): void }) {
  const { length } = useUnits();
  const { doc } = layup;
  const all = laidLayers(doc);
  const last = doc.journey.find((step): step is LayStep => step.kind === 'lay' && step.id === stepId)?.layers.at(-1) ?? all.at(-1);
  if (all.length >= LAYERS_AT_MOST)
    return (
      <Words size="label" tone="muted">
        {ADD_LAYER.layersAtMost(LAYERS_AT_MOST)}
      </Words>
    );

  const add = (form: LayerForm): void => {
    const usable = shelves.glasses.filter((glass) => comesAs(glass, form) && !shelves.archived.includes(glass.id));
    const family = glassOf(shelves, last?.glassId)?.familyId;
    const glass = usable.find(({ id }) => id === last?.glassId) ?? usable.find(({ familyId }) => familyId === family) ?? usable[0];
    const glassId = glass?.id ?? last?.glassId ?? '';
    // Made glass is as thick as it came out: what is laid on it comes in its own sizes.
    const laid =
      last && (glassId === last.glassId || !madeOf(shelves, last.glassId))
        ? inForm({ ...last, name: undefined }, form, length)
        : firstLayer('', form, glass, glassId, length);
    const layer = { ...laid, id: uuid(), glassId };
    layup.edit(addLayer(doc, layer.form === 'sheet' && glass?.coated ? { ...layer, coated: 'up' } : layer, { stepId }));
    onAdded();
  };

  return (
    <View style={{ gap: space.hair, paddingVertical: space.small }}>
      <Words size="label" tone="muted">
        {ADD_LAYER.onTopComes}
      </Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }} testID="add-forms">
        {LAYER_FORMS.map((form) => (
          <Action key={form} kind="second" title={LAYER_KINDS[form].name} testID={`add-${form}`} onPress={() => add(form)} />
        ))}
      </View>
    </View>
  );
}
