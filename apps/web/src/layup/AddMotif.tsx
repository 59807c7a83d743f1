/** Lays many parts at once: strips on edge, segments in a ring, rows woven like bricks, slices of a bar; of bought glass or of made. */
import { type LayStep, glassName, isLaying, layMotif } from '@torvin/core/piece';
import type { Shelves } from '@torvin/schema';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { inFormUnits, useUnits } from '@/data/FormUnits';
import { GlassChoice } from '@/shelves/GlassChoice';
import { glassOf, madeOf } from '@/shelves/everyGlass';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Fold } from '@/ui/Fold';
import { Notice } from '@/ui/Notice';
import { Option } from '@/ui/Option';
import { Swatch } from '@/ui/Swatch';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';
import { countWords } from '@/ui/countWords';
import { MOTIF_FIELDS, MOTIF_KINDS, MOTIF_TITLES, type MotifField, type MotifKind, type TypedMotifs, fieldsOf, readMotif } from './motifEntry';
import type { Layup } from './useLayup';
import { ADD_MOTIF } from './words';

export interface AddMotifProps {
  layup: Layup;
  pieceId: string;
  /** The step it is laid in. */
  step: LayStep;
  shelves: Shelves;
  onLaid(): void;
}

const COLOURS_AT_MOST = 12;

export const AddMotif = inFormUnits(MotifForm);

function MotifForm({ layup, pieceId, step, shelves, onLaid }: AddMotifProps) {
  const { length: unit } = useUnits();
  const { doc } = layup;
  const [begin] = useState(() => step.layers.at(-1)?.glassId ?? shelves.glasses[0]?.id ?? '');
  const [kind, setKind] = useState<MotifKind>('onEdge');
  const [typed, setTyped] = useState<TypedMotifs>({});
  const [glassIds, setGlassIds] = useState<readonly string[]>([begin]);
  const [adds, setAdds] = useState(false);
  const [borderId, setBorder] = useState<string | null>(null);
  const [capId, setCap] = useState<string | null>(null);
  const [instead, setInstead] = useState(step.layers.length <= 1);
  const isFirst = doc.journey.find(isLaying)?.id === step.id;
  const [outlines, setOutlines] = useState(isFirst && step.layers.length <= 1);
  const fields = fieldsOf(typed, kind, unit, madeOf(shelves, glassIds[0] ?? ''));
  const read = readMotif({ kind, fields, glassIds, borderId, capId }, shelves, unit);
  /** What borders and covers is usually bought glass of the same family. */
  const family = glassOf(shelves, glassIds[0])?.familyId;
  const plain =
    shelves.glasses.find(({ id, familyId, forms }) => familyId === family && forms.includes('sheet') && !shelves.archived.includes(id))?.id ?? glassIds[0];
  const choose = (next: MotifKind): void => {
    setKind(next);
    if (next === 'woven') {
      setBorder(borderId ?? plain);
      setCap(capId ?? plain);
    }
  };

  function lay(): void {
    if (!read.ok) return;
    const { footprint, dammed, words: _words, ...laid } = read.value;
    const what = ADD_MOTIF.laid(MOTIF_TITLES[kind].toLowerCase());
    layup.edit(layMotif(doc, step.id, { ...laid, instead, what, ...(outlines ? { outline: { footprint, dammed } } : {}) }, uuid));
    onLaid();
  }

  return (
    <View style={{ gap: space.small, paddingVertical: space.small }} testID="add-motif-panel">
      <Choice
        label={ADD_MOTIF.laidAs}
        value={kind}
        options={MOTIF_KINDS.map((value) => ({ value, title: MOTIF_TITLES[value] }))}
        onChange={choose}
        testID="motif-kind"
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: space.large }}>
        {Object.entries(MOTIF_FIELDS[kind]).map(([key, { label, hint }]) => (
          <View key={key} style={{ flexGrow: 1, flexBasis: '40%', minWidth: 130 }}>
            <Field
              label={label}
              hint={hint}
              value={fields[key as MotifField]}
              onChange={(words) => setTyped({ ...typed, [kind]: { ...typed[kind], [key]: words } })}
              testID={`motif-${key}`}
            />
          </View>
        ))}
      </View>
      <Words size="label" tone="muted">
        {glassIds.length > 1 ? ADD_MOTIF.glassesTurnTouch : ADD_MOTIF.itsGlass}
      </Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        {glassIds.map((id, i) => {
          const glass = glassOf(shelves, id);
          return (
            <Option
              key={i}
              as="pressed"
              small
              chosen={false}
              title={glassName(shelves, id)}
              mark={<Swatch colour={glass?.colour} />}
              onPress={() => glassIds.length > 1 && setGlassIds(glassIds.toSpliced(i, 1))}
              testID={`motif-glass-${i}`}
            />
          );
        })}
        {glassIds.length < COLOURS_AT_MOST && (
          <Action
            kind={adds ? 'main' : 'second'}
            title={ADD_MOTIF.anotherAfterIt}
            label={ADD_MOTIF.anotherAfterGlass}
            testID="motif-more"
            onPress={() => setAdds(!adds)}
          />
        )}
      </View>
      <GlassChoice
        shelves={shelves}
        pieceId={pieceId}
        form="pieces"
        value={adds ? '' : (glassIds.at(-1) ?? '')}
        onChange={({ id }) => {
          setGlassIds(adds ? [...glassIds, id] : [...glassIds.slice(0, -1), id]);
          setAdds(false);
        }}
      />
      {kind === 'woven' && (
        <>
          <Of title={ADD_MOTIF.withABorder} value={borderId} begin={plain} {...{ shelves, pieceId }} onChange={setBorder} testID="motif-bordered" />
          <Of title={ADD_MOTIF.capOverEverything} value={capId} begin={plain} {...{ shelves, pieceId }} onChange={setCap} testID="motif-capped" />
        </>
      )}
      {step.layers.length > 0 && (
        <Tick
          on={instead}
          title={ADD_MOTIF.replacingLayers(countWords(step.layers.length, 'layer', 'layers'))}
          onPress={() => setInstead(!instead)}
          testID="motif-instead"
        />
      )}
      {isFirst && (
        <Tick
          on={outlines}
          title={kind === 'onEdge' ? ADD_MOTIF.pieceLargeDam : ADD_MOTIF.pieceLarge}
          onPress={() => setOutlines(!outlines)}
          testID="motif-outline"
        />
      )}
      {read.ok ? (
        <Words size="label" testID="motif-words">
          {read.value.words}
        </Words>
      ) : (
        <Notice tone="warn" testID="motif-problem">
          {read.problem.message}
        </Notice>
      )}
      <Action title={ADD_MOTIF.layIt} label={ADD_MOTIF.layAllParts} disabled={!read.ok} testID="motif-lay" onPress={lay} />
    </View>
  );
}

interface OfProps {
  title: string;
  value: string | null;
  /** The glass that it begins with. */
  begin: string | undefined;
  shelves: Shelves;
  pieceId: string;
  onChange(id: string | null): void;
  testID: string;
}

/** Something that is there or not, of a glass of its own. */
function Of({ title, value, begin, shelves, pieceId, onChange, testID }: OfProps) {
  return (
    <View>
      <Tick on={value !== null} title={title} onPress={() => onChange(value === null ? (begin ?? null) : null)} testID={testID} />
      {value !== null && (
        <Fold title={glassName(shelves, value)} about={ADD_MOTIF.itsGlassSmall} testID={`${testID}-glass`}>
          {() => <GlassChoice shelves={shelves} pieceId={pieceId} form="cap" value={value} onChange={({ id }) => onChange(id)} />}
        </Fold>
      )}
    </View>
  );
}
