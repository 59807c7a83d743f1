/** Makes or changes a piece: name, outline, sheets. The drawing, the depth and the mass follow every keystroke. */
import { zodResolver } from '@hookform/resolvers/zod';
import { type Problem, bodyFigures, evenSheets, formatLength, formatMass, text } from '@torvin/core';
import { LAYERS_AT_MOST, type PieceDoc, type Shelves } from '@torvin/schema';
import { useEffect } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import { SectionDrawing } from '@/section/SectionDrawing';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { FigureBlock } from '@/ui/FigureBlock';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { LayerRows } from './LayerRows';
import { type PieceEntry, drawable, fieldOfPath, pieceEntrySchema } from './pieceEntry';

export interface PieceFormProps {
  shelves: Shelves;
  entry: PieceEntry;
  /** What the server refused, shown at its field. */
  problem: Problem | null;
  saving: boolean;
  saveTitle: string;
  onSave(name: string, doc: Pick<PieceDoc, 'footprint' | 'typed' | 'layers'>): void;
}

const DRAWING_HEIGHT = 150;

export function PieceForm({ shelves, entry, problem, saving, saveTitle, onSave }: PieceFormProps) {
  const { control, handleSubmit, setError, setValue, formState } = useForm({
    resolver: zodResolver(pieceEntrySchema),
    defaultValues: entry,
    mode: 'onTouched',
  });
  const now = useWatch({ control }) as PieceEntry;
  const { errors } = formState;

  useEffect(() => {
    if (problem) setError(fieldOfPath(problem.path), { message: problem.message });
  }, [problem, setError]);

  const { footprint, layers, family } = drawable(now, shelves);
  const body = footprint && layers.length > 0 ? bodyFigures({ glasses: [family], layers: evenSheets(layers), footprint }) : null;
  const depth_m = layers.reduce((sum, layer) => sum + layer.thickness_m, 0);
  const glasses = shelves.glasses.filter(({ familyId }) => familyId === now.familyId);
  const families = shelves.families.filter(({ id }) => shelves.glasses.some(({ familyId }) => familyId === id));

  const setFamily = (familyId: string): void => {
    const first = shelves.glasses.find((glass) => glass.familyId === familyId);
    setValue('familyId', familyId);
    setValue(
      'layers',
      now.layers.map((layer) => ({ ...layer, glassId: first?.id ?? layer.glassId })),
    );
  };

  const field = (name: 'name' | 'width' | 'length' | 'diameter', label: string, hint?: string) => (
    <Controller
      control={control}
      name={name}
      render={({ field: { value, onChange, onBlur } }) => (
        <Field label={label} value={value} onChange={onChange} onBlur={onBlur} error={errors[name]?.message} hint={hint} testID={`field-${name}`} />
      )}
    />
  );

  return (
    <View style={{ gap: space.large }}>
      <MeasuredWidth height={DRAWING_HEIGHT}>
        {(width) => (
          <SectionDrawing footprint={footprint ?? { shape: 'disc', diameter_m: 0.2 }} layers={footprint ? layers : []} width={width} height={DRAWING_HEIGHT} />
        )}
      </MeasuredWidth>
      <View style={{ flexDirection: 'row', gap: space.large }} testID="body-figures">
        <FigureBlock label="depth" value={formatLength(depth_m, 'mm')} note={text(formatLength(depth_m, 'in'))} />
        <FigureBlock
          label="mass"
          value={body ? formatMass(body.mass_kg, 'metric') : { figure: '–', unit: 'g' }}
          note={body ? text(formatMass(body.mass_kg, 'imperial')) : 'once it has a size'}
        />
      </View>
      {field('name', 'Name')}
      <Choice
        label="Outline"
        value={now.shape}
        options={[
          { value: 'rectangle', title: 'Rectangle' },
          { value: 'disc', title: 'Disc' },
        ]}
        onChange={(shape) => setValue('shape', shape)}
        testID="shape"
      />
      <View style={{ flexDirection: 'row', gap: space.large }}>
        {now.shape === 'disc' ? (
          field('diameter', 'Diameter', 'as you write it: 12 in, 300, 30 cm')
        ) : (
          <>
            {field('width', 'Width', '12 in, 300, 30 cm')}
            {field('length', 'Length')}
          </>
        )}
      </View>
      <Choice
        label="Glass family"
        value={now.familyId}
        options={families.map(({ id, name }) => ({ value: id, title: name }))}
        onChange={setFamily}
        testID="family"
      />
      <LayerRows
        layers={now.layers}
        glasses={glasses}
        atMost={LAYERS_AT_MOST}
        errorOf={(index) => errors.layers?.[index]?.thickness?.message}
        onChange={(next) => setValue('layers', next, { shouldValidate: formState.isSubmitted })}
      />
      {(errors.layers?.root?.message ?? errors.layers?.message) ? (
        <Words bold tone="warn" role="alert">
          {errors.layers?.root?.message ?? errors.layers?.message}
        </Words>
      ) : null}
      {errors.root?.message && <Notice tone="warn">{errors.root.message}</Notice>}
      <Notice tone="care">Cutting: eye protection, and cut or grind wet. Shelf primer is dusty when dry: a respirator, and wipe up wet.</Notice>
      <Action
        title={saveTitle}
        disabled={saving}
        testID="save-piece"
        onPress={() => void handleSubmit((valid) => onSave(valid.name, { footprint: valid.footprint, typed: valid.typed, layers: valid.layers }))()}
      />
    </View>
  );
}
