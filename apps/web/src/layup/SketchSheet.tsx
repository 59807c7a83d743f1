/** A picture of a sketch laid under the plan: taken in, scaled by two places that one knows apart, moved, removed. */
import { type Sketch, layUnder, scaledBetween, SKETCH_RANGE_M } from '@torvin/core/piece';
import type { Point } from '@torvin/core/plan';
import { formatLength, text } from '@torvin/core/units';
import type { Photo } from '@torvin/schema';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { inFormUnits, useUnits } from '@/data/FormUnits';
import { keepPicture } from '@/outbox/pictures';
import { useOutbox } from '@/outbox/useOutbox';
import { useServerAnswers } from '@/outside/useServerAnswers';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { FileChoice } from '@/ui/FileChoice';
import { Notice } from '@/ui/Notice';
import { useTakes } from '@/ui/brought';
import { Stepper } from '@/ui/Stepper';
import { Words } from '@/ui/Words';
import { clamp, stepFrom } from '@/ui/stepFrom';
import { placeWithin, readLength } from './typed';
import type { Layup } from './useLayup';
import { SKETCH_SHEET } from './words';
import { WORDS } from '@/ui/said';

export interface SketchSheetProps {
  layup: Layup;
  /** The box round the piece, from its middle, m. */
  within: { left: number; right: number; front: number; back: number };
  /** Touched so far; null where a touch chooses parts. */
  places: readonly Point[] | null;
  onPlaces(places: Point[] | null): void;
}

/** As wide as the piece is to begin with. */
const firstSketch = ({ hash, width, height }: { hash: string; width: number; height: number }, wide_m: number): Sketch => ({
  ...{ hash, width_m: wide_m, aspect: height / width, x_m: 0, y_m: 0 },
});

export const SketchSheet = inFormUnits(Sheet);

function Sheet({ layup, within, places, onPlaces }: SketchSheetProps) {
  const { length: unit } = useUnits();
  const outbox = useOutbox();
  const answers = useServerAnswers();
  const [problem, setProblem] = useState<string | null>(null);
  const [working, setWorking] = useState(false);
  const [apart, setApart] = useState('');
  const { doc } = layup;
  const sketch = doc.under;
  const [wide_m, deep_m] = [within.right - within.left, within.back - within.front];

  async function take(file: File): Promise<void> {
    setProblem(null);
    setWorking(true);
    const id = uuid();
    await keepPicture(id, file);
    const arrived = await outbox.put('addPhoto', { id, fileName: file.name }, { id, own: true }).arrival;
    setWorking(false);
    if (!arrived.ok) return setProblem(`'${file.name}': ${arrived.problem.message}`);
    layup.edit(layUnder(doc, firstSketch(arrived.answer as Photo, wide_m)));
  }

  useTakes('pictures', ([file]) => void take(file), { off: sketch !== undefined || working });

  if (!sketch) {
    return (
      <View style={{ gap: space.small, alignItems: 'flex-start' }} testID="sketch-sheet">
        <FileChoice
          kind="second"
          title={working ? (answers ? SKETCH_SHEET.takingItIn : SKETCH_SHEET.waitsServer) : SKETCH_SHEET.pictureSketch}
          accept="image/*"
          disabled={working}
          testID="sketch-file"
          onFiles={([file]) => void take(file)}
        />
        {problem && (
          <Notice tone="warn" testID="sketch-problem">
            {problem}
          </Notice>
        )}
      </View>
    );
  }

  const scale = (): void => {
    if (!places || places.length < 2) return;
    const length = readLength(apart, SKETCH_SHEET.theDistance, { ...SKETCH_RANGE_M, least: 0.001 }, unit);
    if (!length.ok) return setProblem(length.problem.message);
    const scaled = scaledBetween(sketch, places[0], places[1], length.value);
    if (!scaled.ok) return setProblem(scaled.problem.message);
    setProblem(null);
    setApart('');
    onPlaces(null);
    layup.edit(layUnder(doc, scaled.value));
  };
  const one = unit === 'in' ? 0.0254 / 16 : 0.001;
  const place = (label: string, from: number, to_m: number, key: 'x_m' | 'y_m') => (
    <Stepper
      label={label}
      shown={formatLength(sketch[key] - from, unit)}
      read={(typed) => placeWithin(typed, to_m, unit)}
      stepped={(direction) => stepFrom(sketch[key] - from, direction, one)}
      onValue={(value) => layup.edit(layUnder(doc, { ...sketch, [key]: value + from }), SKETCH_SHEET.sketch(key))}
      testID={`sketch-${key === 'x_m' ? 'x' : 'y'}`}
    />
  );
  return (
    <View style={{ gap: space.small }} testID="sketch-sheet">
      {places === null ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
          <Action kind="second" title={SKETCH_SHEET.scaleTwoPlaces} testID="sketch-scale" onPress={() => onPlaces([])} />
          <Action
            kind="second"
            title={SKETCH_SHEET.takeItAway}
            label={SKETCH_SHEET.takeAwaySketch}
            testID="sketch-remove"
            onPress={() => layup.edit(layUnder(doc, null))}
          />
        </View>
      ) : (
        <>
          <Words testID="sketch-asks">
            {places.length < 2
              ? SKETCH_SHEET.touchSketchWhose(places.length)
              : SKETCH_SHEET.theyLieApart(text(formatLength(Math.hypot(places[1][0] - places[0][0], places[1][1] - places[0][1]), unit)))}
          </Words>
          {places.length === 2 && <Field label={SKETCH_SHEET.apartYouMeasured} value={apart} onChange={setApart} onSubmit={scale} testID="sketch-apart" />}
          <View style={{ flexDirection: 'row', gap: space.small }}>
            {places.length === 2 && <Action title={SKETCH_SHEET.scaleIt} testID="sketch-scale-it" onPress={scale} />}
            <Action kind="second" title={WORDS.notNow} testID="sketch-not" onPress={() => onPlaces(null)} />
          </View>
        </>
      )}
      {problem && (
        <Notice tone="warn" testID="sketch-problem">
          {problem}
        </Notice>
      )}
      {places === null && (
        <>
          <Stepper
            label={SKETCH_SHEET.wide}
            shown={formatLength(sketch.width_m, unit)}
            read={(typed) => readLength(typed, SKETCH_SHEET.theSketch, SKETCH_RANGE_M, unit)}
            value={sketch.width_m}
            stepped={(direction) => clamp(stepFrom(sketch.width_m, direction, one), SKETCH_RANGE_M)}
            onValue={(width_m) => layup.edit(layUnder(doc, { ...sketch, width_m }), SKETCH_SHEET.sketchWidth)}
            testID="sketch-wide"
          />
          {place(WORDS.fromLeft, within.left, wide_m, 'x_m')}
          {place(WORDS.fromFront, within.front, deep_m, 'y_m')}
        </>
      )}
    </View>
  );
}
