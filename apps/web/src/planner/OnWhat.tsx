/** What a planned firing is on, in or over: its form or its figures, shelf and release, and what has to leave first. */
import type { Footprint } from '@torvin/core/body';
import type { Plan } from '@torvin/core/form';
import { type Shaping, RECIPES } from '@torvin/core/look';
import { givesShape, leavesShelf, serves, setUpsFor, wasShapedBefore } from '@torvin/core/piece';
import { SETUP_NAMES } from '@torvin/core/schedule';
import { formatTemperature, text } from '@torvin/core/units';
import { RELEASE_NAMES, type Step } from '@torvin/schema';
import { View } from 'react-native';
import { space } from '@/theme/theme';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { EmptyItemChoices } from './EmptyItemChoices';
import { FormChoice } from './FormChoice';
import { InForm } from './InForm';
import type { Planning } from './planned';
import { type Fault, type StepEntry, fieldsOf, formOf, MOULDS, mayBeSlender, shelfOf } from './stepEntry';

export interface OnWhatProps {
  planning: Planning;
  entry: StepEntry;
  /** The firing as it is chosen; null while something is missing. */
  meant: Step | null;
  /** What is wrong, once that was asked for. */
  faults: readonly Fault[];
  onChange(part: Partial<StepEntry>): void;
  onCut(outline: Footprint, shaping: Shaping): void;
}

/** A release of the studio's own, beside those that are of any kind. */
const own = (id: string): string => `own-${id}`;
const NOT_JUDGED = 'any; its top is not judged';

export function OnWhat({ planning: { doc, before, step, shelves, units }, entry, meant, faults, onChange, onCut }: OnWhatProps) {
  const { look } = entry;
  const { empty, frees, asks } = RECIPES[look];
  const there = <T extends { id: string }>(records: readonly T[], chosen: string): T[] =>
    records.filter(({ id }) => id === chosen || !shelves.archived.includes(id));
  const faultAt = (field: Fault['field']): string | undefined => faults.find((fault) => fault.field === field)?.message;
  const form = formOf(entry, step, shelves);
  const releases = there(shelves.releases, entry.under ?? '');
  const kinds = setUpsFor(look, form, wasShapedBefore(before, before.journey.length));
  const setUps = kinds.includes(entry.setup) ? kinds : [entry.setup, ...kinds];
  const figures = form && givesShape(form) ? [] : fieldsOf(look, entry.mould);
  return (
    <View style={{ gap: space.small }}>
      {!empty && (
        <FormChoice
          label={frees ? 'Stuck in or on' : asks ? 'Mould or former' : 'In or on'}
          chosen={form}
          makings={shelves.makings}
          forms={there(shelves.forms, entry.formId ?? '').filter((one) => serves(one, look))}
          none={asks ? { title: 'By its measures', note: 'typed below' } : { title: 'Nothing', note: frees ? 'none of the shelf' : 'the shelf alone' }}
          fault={faultAt('form')}
          onChange={(formId) => onChange({ formId })}
        />
      )}
      {form && leavesShelf(form) && (
        <FormChoice
          label="Which is on"
          chosen={shelfOf(entry, step, shelves)}
          forms={there(shelves.forms, entry.shelfId ?? '').filter(({ use }) => use === 'shelf')}
          none={{ title: 'A shelf', note: 'none of the studio’s own; its coats are not counted' }}
          testID="shelf-under"
          onChange={(shelfId) => onChange({ shelfId })}
        />
      )}
      {form?.use === 'former' && !frees && (
        <Field
          label="Edge drops by"
          value={entry.comesDown}
          hint="empty: all the way"
          error={faultAt('comesDown')}
          onChange={(comesDown) => onChange({ comesDown })}
          testID="shape-comesDown"
        />
      )}
      {asks?.kind === 'hollow' && !form && (
        <Choice
          label="Seen from above, the mould is"
          value={entry.mould}
          options={Object.entries(MOULDS).map(([value, title]) => ({ value: value as Plan, title }))}
          onChange={(mould) => onChange({ mould })}
          testID="mould-outline"
        />
      )}
      {figures.map(({ field, label, hint }) => (
        <Field
          key={field}
          label={label}
          value={entry[field]}
          hint={hint}
          error={faultAt(field)}
          onChange={(typed) => onChange({ [field]: typed })}
          testID={`shape-${field}`}
        />
      ))}
      {faultAt('setup') && (
        <Notice tone="warn" testID="fault-setup">
          {faultAt('setup')}
        </Notice>
      )}
      {form && meant && <InForm doc={doc} step={meant} shelves={shelves} onCut={onCut} />}
      {mayBeSlender(look) && !(form && givesShape(form)) && (
        <Choice
          label="Its thickest part is"
          value={entry.slender}
          options={[
            { value: 'slab', title: 'Flat', note: 'a wall, a slab' },
            { value: 'cylinder', title: 'A rod', note: 'as thick all round' },
            { value: 'sphere', title: 'A ball' },
          ]}
          onChange={(slender) => onChange({ slender })}
          testID="slender"
        />
      )}
      {empty ? (
        <EmptyItemChoices entry={entry} item={empty} onChange={onChange} />
      ) : (
        <>
          {setUps.length > 1 && (
            <Choice
              label="Set-up"
              value={entry.setup}
              options={setUps.map((kind) => ({ value: kind, title: SETUP_NAMES[kind] }))}
              onChange={(setup) => onChange({ setup })}
              testID="setup"
            />
          )}
          <Choice
            label="Under the glass"
            value={entry.under === null ? (entry.paper ? 'paper' : 'primer') : own(entry.under)}
            options={[
              ...releases.map(({ id, name, kind, top_C }) => ({
                value: own(id),
                title: name,
                note: `${RELEASE_NAMES[kind].toLowerCase()}, to ${text(formatTemperature(top_C, units.temperature))}`,
              })),
              { value: 'primer', title: 'Primer or spray', note: NOT_JUDGED },
              { value: 'paper', title: 'Fibre paper', note: NOT_JUDGED },
            ]}
            onChange={(under) => onChange({ paper: under === 'paper', under: releases.find(({ id }) => own(id) === under)?.id ?? null })}
            testID="under"
          />
          <Choice
            label="What has to leave first"
            value={entry.wet}
            options={[
              { value: 'dry', title: 'All is dry' },
              { value: 'damp', title: 'Water' },
              { value: 'glued', title: 'Glue or gel' },
            ]}
            onChange={(wet) => onChange({ wet })}
            testID="wet"
          />
        </>
      )}
    </View>
  );
}
