/** Slides up for the parts that are chosen on the plan: where they lie, how they are turned and cut, what can be done with them. */
import {
  type BodyNow,
  type Chosen,
  type LaidLayer,
  type LayStep,
  alignParts,
  changePart,
  dealParts,
  isPlaceable,
  PARTS_AT_MOST,
  mirrorParts,
  removeParts,
  repeatInRing,
  repeatInRows,
  spaceParts,
  glassName,
} from '@torvin/core/piece';
import { type PlacedPart, gapBetween, partCorners } from '@torvin/core/plan';
import { formatLength, formatStock, text } from '@torvin/core/units';
import type { Shelves } from '@torvin/schema';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useUnits } from '@/data/FormUnits';
import { glassOf } from '@/shelves/everyGlass';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Drawer } from '@/ui/Drawer';
import { Places, Sizes } from './PartFigures';
import { CutFrom, LineUp, MirrorChoice, Repeat, Ring } from './PartPanels';
import { callOf } from './planned';
import type { Layup } from './useLayup';
import { PART_SHEET } from './words';
import { WORDS } from '@/ui/said';

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
    chosen.length === 1
      ? callOf(layer, first, glassName(shelves, layer.glassId), ofLayer.length > 1 ? ofLayer.indexOf(first) + 1 : null)
      : PART_SHEET.parts(chosen.length);
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
      subtitle={subtitleOf(chosen, parts, layer, glassName(shelves, layer.glassId), units.length)}
      label={PART_SHEET.onThePlan(title)}
      closeLabel={PART_SHEET.doneWith(title)}
      onClose={() => onSelect([])}
      testID="part-sheet"
      roomy
    >
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Does title={PART_SHEET.repeat} on={doing === 'repeat'} onPress={() => toggle('repeat')} testID="part-repeat" />
        <Does title={PART_SHEET.mirror} on={doing === 'mirror'} onPress={() => toggle('mirror')} testID="part-mirror" />
        <Does title={PART_SHEET.ringOf} on={doing === 'ring'} onPress={() => toggle('ring')} testID="part-ring" />
        {chosen.length > 1 && <Does title={PART_SHEET.lineUp} on={doing === 'line'} onPress={() => toggle('line')} testID="part-line" />}
        <Does title={WORDS.glass} on={doing === 'cut'} onPress={() => toggle('cut')} testID="part-glass" />
        {layerIds.length > chosen.length && (
          <Action
            kind="second"
            title={PART_SHEET.all(layerIds.length)}
            label={PART_SHEET.chooseAllGlass(layerIds.length)}
            testID="part-all"
            onPress={() => onSelect(layerIds)}
          />
        )}
        <Action
          kind="second"
          title={WORDS.remove}
          label={PART_SHEET.remove(title)}
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
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: space.large }}>
        <Places chosen={chosen} body={body} layup={layup} step={step} edit={edit} />
        {chosen.length === 1 && (
          <Sizes part={first} onOutline={(outline) => edit(changePart(doc, step.id, bareOf({ ...first, outline })), PART_SHEET.size(first.id))} />
        )}
      </View>
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
      ? PART_SHEET.sheet(text(formatStock(layer.thickness_m, unit)))
      : `${layer.form} ${text(formatStock('diameter_m' in layer ? layer.diameter_m : 0, unit))}`;
  if (chosen.length > 1) return PART_SHEET.ofInThis(parts.length);
  const corners = partCorners(first, first.across_m);
  const others = parts.filter(({ id }) => id !== first.id);
  const gap = others.reduce((least, other) => Math.min(least, gapBetween(corners, partCorners(other, other.across_m))), Infinity);
  const beside = gap === Infinity ? '' : gap < 5e-5 ? PART_SHEET.touchesItsNeighbour : PART_SHEET.fromItsNeighbour(text(formatLength(gap, unit)));
  return `${stock}, ${glassName}${beside}`;
}

function Does({ title, on, onPress, testID }: { title: string; on: boolean; onPress(): void; testID: string }) {
  return <Action kind={on ? 'main' : 'second'} title={title} testID={testID} onPress={onPress} />;
}
