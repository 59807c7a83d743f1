/** Name, outline and bottom layer of a piece. What lies in it is laid on the drawing afterwards. */
import { zodResolver } from '@hookform/resolvers/zod';
import { footprintArea } from '@torvin/core/body';
import { LAYER_KINDS } from '@torvin/core/piece';
import type { Problem } from '@torvin/core/problem';
import { formatArea, text } from '@torvin/core/units';
import type { Shelves } from '@torvin/schema';
import { Fragment, useEffect, useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import type { Drafting } from '@/data/useDraft';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { DraftOffer } from '@/ui/DraftOffer';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { showFault } from '@/ui/showFault';
import { GlassChoice } from '@/shelves/GlassChoice';
import {
  FIRST_FORMS,
  PIECE_ENTRY_SCHEMAS,
  type PieceEntry,
  type ReadPiece,
  OUTLINES,
  SHAPE_TITLES,
  SIZES_OF,
  type SizeField,
  fieldOfPath,
  glassFor,
  outlineOf,
} from '@/layup/pieceEntry';
import { PIECE_FORM } from './words';
import { WORDS } from '@/ui/said';

export interface PieceFormProps {
  shelves: Shelves;
  entry: PieceEntry;
  /** Whether it asks what lies at the bottom, as for a new piece. */
  asksGlass: boolean;
  /** What the server refused, shown at its field. */
  problem: Problem | null;
  saving: boolean;
  draft: Drafting<PieceEntry>;
  saveTitle: string;
  onSave(read: ReadPiece): void;
}

const SIZE_LABELS: Record<SizeField, string> = {
  width: PIECE_FORM.width,
  length: PIECE_FORM.length,
  diameter: PIECE_FORM.diameter,
  inner: PIECE_FORM.holeInIt,
  corners: WORDS.corners,
};

const CORNERS_HINT = { mm: PIECE_FORM.eachTwoLengths, in: PIECE_FORM.eachAs };

export function PieceForm({ shelves, entry, asksGlass, problem, saving, draft, saveTitle, onSave }: PieceFormProps) {
  'use no memo'; // The form library changes its errors in place.
  const units = useUnits();
  const [began] = useState(entry);
  const { control, handleSubmit, setError, setValue, reset, formState } = useForm({
    resolver: zodResolver(PIECE_ENTRY_SCHEMAS[units.length]),
    defaultValues: began,
    mode: 'onTouched',
  });
  const now = useWatch({ control }) as PieceEntry;
  const { errors } = formState;
  useEffect(() => draft.keep(now, began, saving), [draft, now, began, saving]);
  const hint = units.length === 'mm' ? PIECE_FORM.youWriteCm : PIECE_FORM.youWrite;

  useEffect(() => {
    if (!problem) return;
    setError(fieldOfPath(problem.path), { message: problem.message });
    showFault();
  }, [problem, setError]);

  const outline = outlineOf(now, units.length);
  const field = (name: 'name' | SizeField, label: string, hint?: string) => (
    <Controller
      control={control}
      name={name}
      render={({ field: { value, onChange, onBlur } }) => (
        <Field label={label} value={value ?? ''} onChange={onChange} onBlur={onBlur} error={errors[name]?.message} hint={hint} testID={`field-${name}`} />
      )}
    />
  );

  return (
    <View style={{ gap: space.large }}>
      <DraftOffer draft={draft} onTake={reset} />
      {field('name', WORDS.name)}
      <Choice
        label={PIECE_FORM.outline}
        value={now.shape}
        options={OUTLINES.map((value) => ({ value, title: SHAPE_TITLES[value] }))}
        onChange={(shape) => setValue('shape', shape)}
        testID="shape"
      />
      <View style={{ flexDirection: 'row', gap: space.large }}>
        {SIZES_OF[now.shape].map((name, i) => (
          <Fragment key={name}>{field(name, SIZE_LABELS[name], name === 'corners' ? CORNERS_HINT[units.length] : i === 0 ? hint : undefined)}</Fragment>
        ))}
      </View>
      <Words size="label" tone="muted" testID="outline-area">
        {outline ? text(formatArea(footprintArea(outline), units.length)) : PIECE_FORM.areaFollowsSizes}
      </Words>
      {!(asksGlass && now.form === 'nothing') && (
        <Choice
          label={PIECE_FORM.atTheRim}
          value={now.dammed ? 'dammed' : 'free'}
          options={[
            { value: 'free', title: PIECE_FORM.free },
            { value: 'dammed', title: PIECE_FORM.insideADam },
          ]}
          onChange={(rim) => setValue('dammed', rim === 'dammed')}
          testID="rim"
        />
      )}
      {asksGlass && (
        <View>
          <Choice
            label={PIECE_FORM.bottomLies}
            value={now.form}
            options={[
              ...FIRST_FORMS.filter((form) => glassFor(shelves, form, now.glassId)).map((form) => ({ value: form, title: LAYER_KINDS[form].name })),
              { value: 'nothing' as const, title: PIECE_FORM.noGlass, note: PIECE_FORM.shelfMouldItself },
            ]}
            onChange={(form) => {
              setValue('form', form);
              if (form !== 'nothing') setValue('glassId', glassFor(shelves, form, now.glassId)?.id ?? now.glassId);
            }}
            testID="first-form"
          />
          {now.form !== 'nothing' && <GlassChoice shelves={shelves} form={now.form} value={now.glassId} onChange={({ id }) => setValue('glassId', id)} />}
        </View>
      )}
      {errors.root?.message && <Notice tone="warn">{errors.root.message}</Notice>}
      <Notice tone="care">{PIECE_FORM.cuttingEyeProtection}</Notice>
      <Action title={saveTitle} disabled={saving} testID="save-piece" onPress={() => void handleSubmit((valid) => onSave(valid), showFault)()} />
    </View>
  );
}
