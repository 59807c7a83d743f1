/** What can be done with chosen parts: repeated, laid round, mirrored, lined up, cut from other glass. */
import type { LaidLayer, Stuff } from '@torvin/core/piece';
import type { Alignment, Mirror } from '@torvin/core/plan';
import { COUNT, METRIC, formatLength, formatStock, readFigure, text } from '@torvin/core/units';
import type { Shelves } from '@torvin/schema';
import { type ReactNode, useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { GlassChoice } from '@/shelves/GlassChoice';
import { madeInto, madeOf } from '@/shelves/everyGlass';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Stepper } from '@/ui/Stepper';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';
import { clamp, stepFrom } from '@/ui/stepFrom';
import { readLength } from './typed';
import { PART_PANELS } from './words';
import { WORDS } from '@/ui/said';

const MILLIMETRE = 0.001;

interface Figures {
  count: number;
  rows: number;
  gap_m: number;
  rowGap_m: number;
}

export function Repeat({ most, unit, onLay }: { most: number; unit: 'mm' | 'in'; onLay(row: Figures & { staggered: boolean; centred: boolean }): void }) {
  const usual = unit === 'in' ? 0.0254 / 4 : 0.009;
  const [row, setRow] = useState<Figures>({ count: 5, rows: 1, gap_m: usual, rowGap_m: usual });
  const [staggered, setStaggered] = useState(false);
  const [centred, setCentred] = useState(true);
  const number = (label: string, key: 'count' | 'rows') => (
    <Stepper
      label={label}
      shown={{ figure: String(row[key]), unit: '' }}
      read={(typed) => readFigure(typed, { of: COUNT, name: PART_PANELS.theNumber, range: { least: 1, most } }, METRIC)}
      value={row[key]}
      stepped={(direction) => clamp(row[key] + direction, { least: 1, most })}
      onValue={(value) => setRow({ ...row, [key]: value })}
      testID={`repeat-${key}`}
    />
  );
  const gap = (label: string, key: 'gap_m' | 'rowGap_m', testID: string) => (
    <Stepper
      label={label}
      shown={formatLength(row[key], unit)}
      read={(typed) => readLength(typed, PART_PANELS.theGap, { least: 0, most: 1 }, unit)}
      value={row[key]}
      stepped={(direction) => clamp(stepFrom(row[key], direction, unit === 'in' ? 0.0254 / 16 : MILLIMETRE), { least: 0, most: 1 })}
      onValue={(value) => setRow({ ...row, [key]: value })}
      testID={testID}
    />
  );
  return (
    <Panel>
      {number(PART_PANELS.inARow, 'count')}
      {gap('gap', 'gap_m', 'repeat-gap')}
      {number('rows', 'rows')}
      {row.rows > 1 && gap('between', 'rowGap_m', 'repeat-rowGap')}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: space.large }}>
        {row.rows > 1 && <Tick on={staggered} title={PART_PANELS.staggered} testID="repeat-staggered" onPress={() => setStaggered(!staggered)} />}
        <Tick on={centred} title={PART_PANELS.roundTheMiddle} testID="repeat-centred" onPress={() => setCentred(!centred)} />
      </View>
      <Action
        title={row.rows > 1 ? PART_PANELS.layRowsOf(row.rows, row.count) : PART_PANELS.layRow(row.count)}
        testID="repeat-lay"
        onPress={() => onLay({ ...row, staggered, centred })}
      />
    </Panel>
  );
}

export function Ring({ onLay }: { onLay(count: number): void }) {
  const [count, setCount] = useState(8);
  const range = { least: 2, most: 120 };
  return (
    <Panel>
      <Stepper
        label={WORDS.inAll}
        shown={{ figure: String(count), unit: '' }}
        read={(typed) => readFigure(typed, { of: COUNT, name: PART_PANELS.theNumber, range }, METRIC)}
        value={count}
        stepped={(direction) => clamp(count + direction, range)}
        onValue={setCount}
        testID="ring-count"
      />
      <Action title={PART_PANELS.layRing(count)} label={PART_PANELS.layRingRound(count)} testID="ring-lay" onPress={() => onLay(count)} />
    </Panel>
  );
}

export function MirrorChoice({ onMirror }: { onMirror(way: Mirror, asWell: boolean): void }) {
  return (
    <Panel>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Action kind="second" title={PART_PANELS.alsoLeftRight} testID="mirror-leftRight" onPress={() => onMirror('leftRight', true)} />
        <Action kind="second" title={PART_PANELS.alsoFrontBack} testID="mirror-frontBack" onPress={() => onMirror('frontBack', true)} />
        <Action kind="second" title={PART_PANELS.turnOver} label={PART_PANELS.turnOverOwn} testID="mirror-here" onPress={() => onMirror('leftRight', false)} />
      </View>
    </Panel>
  );
}

const LINES: readonly { by: Alignment; title: string }[] = [
  { by: 'left', title: PART_PANELS.leftSides },
  { by: 'middle', title: PART_PANELS.middlesAcross },
  { by: 'right', title: PART_PANELS.rightSides },
  { by: 'front', title: PART_PANELS.fronts },
  { by: 'centre', title: PART_PANELS.middlesFrontBack },
  { by: 'back', title: PART_PANELS.backs },
];

export function LineUp({ count, onAlign, onSpace }: { count: number; onAlign(by: Alignment): void; onSpace(along: 'x' | 'y'): void }) {
  return (
    <Panel>
      <Words size="label" tone="muted">
        {PART_PANELS.onOneLine}
      </Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        {LINES.map(({ by, title }) => (
          <Action key={by} kind="second" title={title} testID={`align-${by}`} onPress={() => onAlign(by)} />
        ))}
      </View>
      {count > 2 && (
        <>
          <Words size="label" tone="muted">
            {PART_PANELS.farApartOuter}
          </Words>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
            <Action kind="second" title={PART_PANELS.leftToRight} testID="space-x" onPress={() => onSpace('x')} />
            <Action kind="second" title={PART_PANELS.frontToBack} testID="space-y" onPress={() => onSpace('y')} />
          </View>
        </>
      )}
    </Panel>
  );
}

interface CutFromProps {
  pieceId: string;
  layer: Extract<LaidLayer, { form: 'pieces' | 'rod' | 'stringer' }>;
  sizes_m: readonly number[];
  shelves: Shelves;
  onStuff(stuff: Stuff): void;
}

/** Another glass, or another of its thicknesses. */
export function CutFrom({ pieceId, layer, sizes_m, shelves, onStuff }: CutFromProps) {
  const { length } = useUnits();
  const stuff: Stuff =
    layer.form === 'pieces'
      ? { form: 'pieces', glassId: layer.glassId, thickness_m: layer.thickness_m, ...(layer.cutFace ? { cutFace: layer.cutFace } : {}) }
      : { form: layer.form, glassId: layer.glassId, diameter_m: layer.diameter_m };
  return (
    <Panel>
      {stuff.form === 'pieces' && sizes_m.length > 1 && (
        <Choice
          label={PART_PANELS.cutSheet}
          value={String(stuff.thickness_m)}
          options={sizes_m.map((size) => ({ value: String(size), title: text(formatStock(size, length)) }))}
          onChange={(size) => onStuff({ ...stuff, thickness_m: Number(size) })}
          testID="part-thickness"
        />
      )}
      <GlassChoice
        shelves={shelves}
        pieceId={pieceId}
        form={stuff.form}
        value={stuff.glassId}
        onChange={({ id }) => onStuff(madeInto({ ...stuff, glassId: id }, madeOf(shelves, id)))}
      />
    </Panel>
  );
}

const Panel = ({ children }: { children: ReactNode }) => <View style={{ gap: space.small, paddingVertical: space.small }}>{children}</View>;
