/** The fields of a record, each as its definition says; what stands folded is opened when it is wanted, or when something is wrong in it. */
import { type AnyRecord, type Entry, FOLDS, type Field as FieldOf, KINDS, type Shelves, isAsked, isKind, labelOf } from '@torvin/schema';
import { type ReactNode, createElement } from 'react';
import { type Control, Controller } from 'react-hook-form';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { PhotoPicker } from '@/photos/Photos';
import { FormMark } from '@/section/FormDrawing';
import { space } from '@/theme/theme';
import { Choice } from '@/ui/Choice';
import { COLUMNS, WHOLE_ROW } from '@/ui/columns';
import { Field } from '@/ui/Field';
import { Fold } from '@/ui/Fold';
import { FoundChoice } from '@/ui/FoundChoice';
import { Notice } from '@/ui/Notice';
import { Swatch } from '@/ui/Swatch';
import { DayInput } from '@/ui/TimeInput';
import { Toggles } from '@/ui/Toggles';
import { Words } from '@/ui/Words';
import { colourWords, isColour } from './colourWords';
import { aboutShelves, nameAmong, RECORD_FIELDS } from './words';

export interface RecordFieldsProps {
  fields: readonly FieldOf[];
  /** As it stands in the form by now. */
  entry: Entry;
  control: Control<Entry>;
  errors: Partial<Record<string, { message?: string }>>;
  shelves: Shelves;
  /** Stands before what is folded. */
  between?: ReactNode;
}

export function RecordFields({ fields: all, entry, control, errors, shelves, between }: RecordFieldsProps) {
  'use no memo'; // The form library changes its errors in place.
  const fields = all.filter((field) => isAsked(field, entry));
  const row = (field: FieldOf) => (
    <View key={field.key} style={takesRow(field) ? WHOLE_ROW : undefined}>
      <Controller
        control={control}
        name={field.key}
        render={({ field: { value, onChange, onBlur } }) => (
          <OneField field={field} entry={entry} value={value} onChange={onChange} onBlur={onBlur} error={errors[field.key]?.message} shelves={shelves} />
        )}
      />
    </View>
  );
  return (
    <>
      <View style={COLUMNS}>{fields.filter((field) => !field.folded).map(row)}</View>
      {between}
      <View style={{ marginHorizontal: -space.large }}>
        {Object.entries(FOLDS).map(([key, { title, about }]) => {
          const folded = fields.filter((field) => field.folded === key);
          return (
            folded.length > 0 && (
              <Fold key={key} title={title} about={about} testID={key} opened={folded.some((field) => errors[field.key])}>
                {() => <View style={COLUMNS}>{folded.map(row)}</View>}
              </Fold>
            )
          );
        })}
      </View>
    </>
  );
}

/** Pictures, and what is written in many lines. */
const takesRow = (field: FieldOf): boolean => field.as === 'pictures' || field.as === 'points' || (field.as === 'words' && Boolean(field.long));

interface OneFieldProps {
  field: FieldOf;
  entry: Entry;
  value: Entry[string] | undefined;
  onChange(value: Entry[string]): void;
  onBlur(): void;
  error?: string;
  shelves: Shelves;
}

function OneField({ field, entry, value, onChange, onBlur, error, shelves }: OneFieldProps) {
  const units = useUnits();
  const label = labelOf(field, units, entry);
  const typed = typeof value === 'string' ? value : '';
  const { testID, hint } = field;
  switch (field.as) {
    case 'choice':
      return (
        <WithError error={error} testID={testID}>
          <Choice label={label} value={typed} options={field.options} onChange={onChange} testID={testID} />
        </WithError>
      );
    case 'record': {
      const { of } = field;
      const about = aboutShelves(shelves, units);
      const offered = isKind(of) ? shelves[of].filter(({ id }) => id === typed || !shelves.archived.includes(id)) : [];
      const none = field.optional ? [{ value: '', title: RECORD_FIELDS.noneOfThem }] : [];
      const named = offered.map((record) => {
        const { name, note } = (isKind(of) && nameAmong(shelves, of, record.id, about)) || { name: record.id };
        return { value: record.id, title: name, note, mark: markOf(record) };
      });
      const options = named.length > 0 ? [...none, ...named] : [];
      return (
        <WithError error={error} testID={testID}>
          {options.length > 0 ? (
            <FoundChoice label={label} value={typed} options={options} onChange={onChange} testID={testID} />
          ) : (
            <Missing what={isKind(field.of) ? KINDS[field.of].one : field.of} label={field.optional ? label : null} />
          )}
        </WithError>
      );
    }
    case 'several':
      return (
        <WithError error={error} testID={testID}>
          <Toggles label={label} values={Array.isArray(value) ? value : []} options={field.options} onChange={onChange} testID={testID} />
        </WithError>
      );
    case 'yes':
      return (
        <Toggles
          label={label}
          values={value === true ? ['yes'] : []}
          options={[{ value: 'yes', title: field.title }]}
          onChange={(marks) => onChange(marks.length > 0)}
          testID={testID}
        />
      );
    case 'pictures':
      return (
        <WithError error={error} testID={testID}>
          <PhotoPicker hashes={Array.isArray(value) ? value : []} of={String(entry.name || 'this')} onChange={onChange} />
        </WithError>
      );
    case 'day':
      return <DayInput label={label} value={typed} onChange={onChange} error={error} hint={hint} testID={testID} />;
    case 'colour':
      return <Colour label={label} value={typed} onChange={onChange} error={error} hint={hint} testID={testID} />;
    default:
      return (
        <Field
          label={label}
          value={typed}
          onChange={onChange}
          onBlur={onBlur}
          error={error}
          hint={hint}
          multiline={(field.as === 'words' && field.long) || field.as === 'looks' || field.as === 'points'}
          keyboard={field.as === 'figure' && !field.of.read ? 'decimal-pad' : undefined}
          testID={testID}
        />
      );
  }
}

const markOf = (record: AnyRecord): ReactNode =>
  'colour' in record ? <Swatch colour={record.colour} /> : 'use' in record ? <FormMark form={record} /> : undefined;

function WithError({ error, testID, children }: { error?: string; testID: string; children: ReactNode }) {
  return (
    <View>
      {children}
      {error && (
        <Words size="label" bold tone="warn" role="alert" testID={`${testID}-error`}>
          {error}
        </Words>
      )}
    </View>
  );
}

/** label: of what may be left out, which then only says so. */
function Missing({ what, label }: { what: string; label: string | null }) {
  return label === null ? (
    <Notice tone="warn">{RECORD_FIELDS.noYetMake(what)}</Notice>
  ) : (
    <Words size="label" tone="muted">
      {RECORD_FIELDS.youNoneYet(label)}
    </Words>
  );
}

const PICKER_PX = 56;

/** Picked from the browser's palette, or written; said in words besides. */
interface ColourProps {
  label: string;
  value: string;
  onChange(value: string): void;
  error?: string;
  /** Where nothing is written yet. */
  hint?: string;
  testID: string;
}

function Colour({ label, value, onChange, error, hint = RECORD_FIELDS.colourHint, testID }: ColourProps) {
  return (
    <View style={{ flexDirection: 'row', alignItems: 'flex-end', gap: space.medium }}>
      {createElement('input', {
        type: 'color',
        value: isColour(value) ? value.toLowerCase() : '#808080',
        'aria-label': RECORD_FIELDS.pickIt(label),
        'data-testid': `${testID}-picker`,
        style: { width: PICKER_PX, height: PICKER_PX, padding: 2, border: 'none', background: 'none', flexShrink: 0 },
        onChange: (event: { target: HTMLInputElement }) => onChange(event.target.value),
      })}
      <Field label={label} value={value} onChange={onChange} error={error} hint={colourWords(value) || hint} testID={testID} />
    </View>
  );
}
