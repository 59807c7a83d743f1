/** What a planned firing is on, in or over: its form or its figures, shelf and release, and what has to leave first. */
import type { Footprint } from '@torvin/core/body';
import type { Plan } from '@torvin/core/form';
import { type Shaping, RECIPES } from '@torvin/core/look';
import { givesShape, leavesShelf, placeIn, serves, setUpsFor, wasShapedBefore } from '@torvin/core/piece';
import { SETUP_NAMES } from '@torvin/core/schedule';
import { formatDifference, formatDuration, formatTemperature, text } from '@torvin/core/units';
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
import { ON } from './words';

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

export function OnWhat({ planning: { before, step, shelves, units }, entry, meant, faults, onChange, onCut }: OnWhatProps) {
  const { look } = entry;
  const { empty, frees, asks } = RECIPES[look];
  const there = <T extends { id: string }>(records: readonly T[], chosen: string): T[] =>
    records.filter(({ id }) => id === chosen || !shelves.archived.includes(id));
  const faultAt = (field: Fault['field']): string | undefined => faults.find((fault) => fault.field === field)?.message;
  const form = formOf(entry, step, shelves);
  const kiln = shelves.kilns.find(({ id }) => id === entry.kilnId);
  const place = step && kiln ? placeIn({ ...step, kilnId: kiln.id }, kiln) : {};
  const { hotter_K = 0 } = place;
  const placeNotes = [
    ...(hotter_K === 0 ? [] : [ON.hotter(text(formatDifference(Math.abs(hotter_K), units.temperature)), hotter_K > 0)]),
    ...(place.lag_s ? [ON.behind(text(formatDuration(place.lag_s)))] : []),
    ...(place.underShelf ? [ON.underShelf] : []),
    ...(place.load_J_K ? [ON.withLoad] : []),
  ];
  const releases = there(shelves.releases, entry.under ?? '');
  const kinds = setUpsFor(look, form, wasShapedBefore(before, before.journey.length));
  const setUps = kinds.includes(entry.setup) ? kinds : [entry.setup, ...kinds];
  const figures = form && givesShape(form) ? [] : fieldsOf(look, entry.mould);
  return (
    <View style={{ gap: space.small }}>
      {!empty && (
        <FormChoice
          label={frees ? ON.forms.stuck : asks ? ON.forms.asked : ON.forms.any}
          chosen={form}
          makings={shelves.makings}
          forms={there(shelves.forms, entry.formId ?? '').filter((one) => serves(one, look))}
          none={asks ? ON.byMeasures : { title: ON.nothing, note: frees ? ON.noneOfShelf : ON.shelfAlone }}
          fault={faultAt('form')}
          onChange={(formId) => onChange({ formId })}
        />
      )}
      {form && leavesShelf(form) && (
        <FormChoice
          label={ON.whichShelf}
          chosen={shelfOf(entry, step, shelves)}
          forms={there(shelves.forms, entry.shelfId ?? '').filter(({ use }) => use === 'shelf')}
          none={ON.aShelf}
          testID="shelf-under"
          onChange={(shelfId) => onChange({ shelfId })}
        />
      )}
      {form?.use === 'former' && !frees && (
        <Field
          label={ON.edgeDrops}
          value={entry.comesDown}
          hint={ON.edgeHint}
          error={faultAt('comesDown')}
          onChange={(comesDown) => onChange({ comesDown })}
          testID="shape-comesDown"
        />
      )}
      {asks?.kind === 'hollow' && !form && (
        <Choice
          label={ON.outline}
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
      {form && meant && <InForm doc={before} step={meant} shelves={shelves} onCut={onCut} />}
      {mayBeSlender(look) && !(form && givesShape(form)) && (
        <Choice
          label={ON.thickest}
          value={entry.slender}
          options={[
            { value: 'slab', ...ON.slab },
            { value: 'cylinder', ...ON.rod },
            { value: 'sphere', title: ON.ball },
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
              label={ON.setUp}
              value={entry.setup}
              options={setUps.map((kind) => ({ value: kind, title: SETUP_NAMES[kind] }))}
              onChange={(setup) => onChange({ setup })}
              testID="setup"
            />
          )}
          <Choice
            label={ON.under}
            value={entry.under === null ? (entry.paper ? 'paper' : 'primer') : own(entry.under)}
            options={[
              ...releases.map(({ id, name, kind, top_C }) => ({
                value: own(id),
                title: name,
                note: ON.release(RELEASE_NAMES[kind].toLowerCase(), text(formatTemperature(top_C, units.temperature))),
              })),
              { value: 'primer', title: ON.primer, note: ON.notJudged },
              { value: 'paper', title: ON.paper, note: ON.notJudged },
            ]}
            onChange={(under) => onChange({ paper: under === 'paper', under: releases.find(({ id }) => own(id) === under)?.id ?? null })}
            testID="under"
          />
          <Choice
            label={ON.leaves}
            value={entry.wet}
            options={[
              { value: 'dry', title: ON.dry },
              { value: 'damp', title: ON.damp },
              { value: 'glued', title: ON.glued },
            ]}
            onChange={(wet) => onChange({ wet })}
            testID="wet"
          />
          {placeNotes.length > 0 && (
            <Choice
              label={ON.lies}
              value={entry.lies}
              options={[
                { value: 'put', title: ON.put, note: placeNotes.join(', ') },
                { value: 'middle', title: ON.middle },
              ]}
              onChange={(lies) => onChange({ lies })}
              testID="lies"
            />
          )}
        </>
      )}
    </View>
  );
}
