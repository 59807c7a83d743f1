/** Of a mould or former: drawn as it is measured, whether glass lets go of it, what it holds, and the blank for it. */
import { type FormShape, type FormView, depthOf, insideOf, ofOwnMaterial } from '@torvin/core/form';
import { shapeOf } from '@torvin/core/piece';
import { formFigures, materialWords, printWords } from '@torvin/core/quantity';
import { formClearance, formClearanceWords } from '@torvin/core/release';
import { formatLength, formatMass, formatVolume, parseLength, text } from '@torvin/core/units';
import { type FormRecord, FORM_USE_NAMES, type Shelves } from '@torvin/schema';
import { useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { FormDrawing } from '@/section/FormDrawing';
import { space } from '@/theme/theme';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { FigureBlock } from '@/ui/FigureBlock';
import { Fold } from '@/ui/Fold';
import { Words } from '@/ui/Words';
import { mostUsed } from './mostUsed';
import { FORM_STORY } from './words';
import { WORDS } from '@/ui/said';

/** Of two sheets, as most blanks are. */
const BLANK_M = 0.006;

export function FormStory({ form, shelves }: { form: FormRecord; shelves: Shelves }) {
  const units = useUnits();
  const [view, setView] = useState<FormView>('across');
  const [familyId, setFamilyId] = useState<string | null>(null);
  const offered = shelves.families.filter(({ id }) => !shelves.archived.includes(id));
  const family = offered.find(({ id }) => id === familyId) ?? mostUsed(shelves);
  const shape = shapeOf(ofOwnMaterial(form, shelves.materials));
  const told = family && formClearance(family, shape);
  const said = told && formClearanceWords(told, shape, units, (shape.liner_m ?? 0) > 0);
  const figures = family ? formFigures(shape, family, BLANK_M, units) : [];
  const ofWhat = materialWords(shape, units);
  const isTwoSided = shape.plan !== 'round' || shape.door_m !== undefined;
  return (
    <View style={{ gap: space.small }} testID="form-story">
      <View style={{ marginHorizontal: -space.large }}>
        <FormDrawing form={shape} view={view} words={FORM_STORY.cutThroughScale(FORM_USE_NAMES[form.use], view)} testID="form-drawing" />
      </View>
      {isTwoSided && (
        <Choice<FormView>
          label={shape.door_m === undefined ? FORM_STORY.cutThrough : FORM_STORY.cutThroughMeasured}
          value={view}
          options={[
            { value: 'across', title: shape.door_m === undefined ? 'across' : FORM_STORY.leftToRight },
            { value: 'along', title: shape.door_m === undefined ? FORM_STORY.theOtherWay : FORM_STORY.doorToBack },
          ]}
          onChange={setView}
          testID="form-view"
        />
      )}
      {said && (
        <View>
          <Words bold size="heading" testID="form-lets-go">
            {said.verdict}
          </Words>
          <Words testID="form-why">{said.why}</Words>
          {said.helps.length > 0 && <Words testID="form-helps">{said.helps.join(' ')}</Words>}
        </View>
      )}
      {ofWhat !== null && (
        <Words size="label" tone="muted" testID="form-material-note">
          {ofWhat}
        </Words>
      )}
      {form.use === 'texture' && <Words testID="form-prints">{printWords(form)}</Words>}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.medium }}>
        {figures.map(({ label, value, note }) => (
          <FigureBlock key={label} label={label} value={value} note={note} testID={`form-${label.split(' ')[0].replace(',', '')}`} />
        ))}
      </View>
      {family && <FilledTo form={shape} density_kg_m3={family.density_kg_m3} />}
      {family && offered.length > 1 && form.use !== 'shelf' && (
        <View style={{ marginHorizontal: -space.large }}>
          <Fold title={FORM_STORY.for(family.name)} about={FORM_STORY.anotherGlassDraws} testID="form-glass">
            {() => (
              <Choice
                label={WORDS.glass}
                value={family.id}
                options={offered.map(({ id, name }) => ({ value: id, title: name }))}
                onChange={setFamilyId}
                testID="form-family"
              />
            )}
          </Fold>
        </View>
      )}
    </View>
  );
}

/** How much a hollow holds up to any level. */
function FilledTo({ form, density_kg_m3 }: { form: FormShape; density_kg_m3: number }) {
  const units = useUnits();
  const [typed, setTyped] = useState('');
  const inside = form.use === 'hollow' || form.use === 'dam' || form.use === 'cavity' ? insideOf(form) : null;
  if (!inside?.ok) return null;
  const level = typed.trim() === '' ? null : parseLength(typed, units.length);
  const rim_m = depthOf(form);
  const over = level?.ok && level.value > rim_m + 1e-9 ? FORM_STORY.runsOverRim(text(formatLength(rim_m, units.length))) : undefined;
  const m3 = level?.ok && over === undefined ? inside.value.heldTo(level.value) : null;
  return (
    <View style={{ gap: space.hair }}>
      <Field
        label={FORM_STORY.filledUpOver}
        value={typed}
        onChange={setTyped}
        error={level && !level.ok ? level.problem.message : over}
        hint={FORM_STORY.depthGlassAnswer}
        testID="filled-to"
      />
      {m3 !== null && (
        <Words bold testID="filled-takes">
          {FORM_STORY.ofGlass(text(formatVolume(m3, units.length)), text(formatMass(m3 * density_kg_m3, units.mass)))}
        </Words>
      )}
    </View>
  );
}
