/** A label for one thing: its size and paper, how many, and how it looks; then printed. */
import { type LengthUnit, formatLength, suggestedWords, text } from '@torvin/core/units';
import { createElement, useState } from 'react';
import { View } from 'react-native';
import { inFormUnits, useUnits } from '@/data/FormUnits';
import { readLength } from '@/layup/typed';
import { readStored, writeStored } from '@/outside/storage';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { type Back, Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { countWords } from '@/ui/countWords';
import { Count } from '@/layup/HandSteppers';
import { LABEL_RANGE_M, LEAST_MARGIN_MM, type LabelPaper, type LabelTold, PAPERS, labelSheets, labelSvg, onSheet } from './labels';
import { OnPaper } from '@/paper/OnPaper';
import { LABEL_SCREEN } from './words';
import { WORDS } from '@/ui/said';

/** What was printed on last, on this device. */
interface Kept {
  width: string;
  height: string;
  gap: string;
  /** What a bare number of them is in. */
  unit: LengthUnit;
  paper: LabelPaper;
}

const KEPT = 'torvin label';
const USUAL_M = { width: 0.06, height: 0.03 };
const PREVIEW_PX = 320;
/** An address that no other device has a way to. */
const isHereAlone = (url: string): boolean => /^https?:\/\/(localhost|127\.|\[::1\])/.test(url);

const GAP_RANGE_M = { least: 0, most: 0.05 };
const COPIES = { least: 1, most: 100 };
const MM_PER_M = 1000;

function LabelForm({ label, back }: { label: LabelTold; back: Back }) {
  const units = useUnits();
  const [kept] = useState(() => readStored<Kept>('localStorage', KEPT));
  const sizes = kept?.unit === units.length ? kept : null;
  const [width, setWidth] = useState(sizes?.width ?? suggestedWords(USUAL_M.width, units.length));
  const [height, setHeight] = useState(sizes?.height ?? suggestedWords(USUAL_M.height, units.length));
  const [paper, setPaper] = useState<LabelPaper>(kept?.paper ?? 'A4');
  const [gap, setGap] = useState(sizes?.gap ?? '');
  const [copies, setCopies] = useState(1);
  const [used, setUsed] = useState(0);
  const wide = readLength(width, WORDS.theWidth, LABEL_RANGE_M, units.length);
  const high = readLength(height, LABEL_SCREEN.theHeight, LABEL_RANGE_M, units.length);
  const between = readLength(gap.trim() === '' ? '0' : gap, LABEL_SCREEN.theGap, GAP_RANGE_M, units.length);
  const gap_mm = between.ok ? between.value * MM_PER_M : 0;
  const size = wide.ok && high.ok ? { width_mm: wide.value * MM_PER_M, height_mm: high.value * MM_PER_M } : null;
  const grid = size && paper !== 'own' ? onSheet(size, PAPERS[paper], gap_mm) : null;
  const each = grid ? grid.columns * grid.rows : null;
  const sheets =
    size && between.ok
      ? labelSheets(
          Array.from({ length: copies }, () => label),
          size,
          paper,
          used,
          gap_mm,
        )
      : [];
  const page = paper === 'own' ? (size ?? undefined) : PAPERS[paper];
  const keep = (on: LabelPaper): void => {
    if (size) writeStored('localStorage', KEPT, { width, height, gap, unit: units.length, paper: on });
  };
  return (
    <Screen title={WORDS.label} of={label.name} subtitle={label.name} back={back}>
      <View style={{ gap: space.medium }}>
        <View style={{ flexDirection: 'row', gap: space.medium }}>
          <Field
            label={LABEL_SCREEN.wide}
            value={width}
            onChange={setWidth}
            onBlur={() => keep(paper)}
            error={wide.ok ? undefined : wide.problem.message}
            testID="label-width"
          />
          <Field
            label={LABEL_SCREEN.high}
            value={height}
            onChange={setHeight}
            onBlur={() => keep(paper)}
            error={high.ok ? undefined : high.problem.message}
            testID="label-height"
          />
          {paper !== 'own' && (
            <Field
              label={LABEL_SCREEN.gapAcross}
              value={gap}
              onChange={setGap}
              onBlur={() => keep(paper)}
              hint={LABEL_SCREEN.emptyNone}
              error={between.ok ? undefined : between.problem.message}
              testID="label-gap"
            />
          )}
        </View>
        <Choice<LabelPaper>
          label={LABEL_SCREEN.printedOn}
          value={paper}
          options={[
            { value: 'A4', title: 'A4 sheet' },
            { value: 'Letter', title: LABEL_SCREEN.letterSheet },
            { value: 'own', title: LABEL_SCREEN.aLabelPrinter, note: LABEL_SCREEN.onePageSize },
          ]}
          onChange={(next) => {
            setPaper(next);
            keep(next);
          }}
          testID="label-paper"
        />
        <View>
          <Count label={LABEL_SCREEN.number} name={LABEL_SCREEN.numberLabels} value={copies} range={COPIES} onValue={setCopies} testID="label-copies" />
          {each !== null && each > 1 && (
            <Count
              label={LABEL_SCREEN.used}
              name={LABEL_SCREEN.placesFirstSheet}
              value={Math.min(used, each - 1)}
              range={{ least: 0, most: each - 1 }}
              onValue={setUsed}
              testID="label-used"
            />
          )}
        </View>
        {each === 0 && (
          <Notice tone="warn" testID="label-too-large">
            {LABEL_SCREEN.noSuchLabel(paper, text(formatLength(LEAST_MARGIN_MM / MM_PER_M, units.length)))}
          </Notice>
        )}
        {size && (
          <>
            {createElement('img', {
              'data-testid': 'label-preview',
              alt: [label.name, ...label.lines].join(', '),
              src: `data:image/svg+xml;charset=utf-8,${encodeURIComponent(labelSheets([label], size, 'own')[0] ?? labelSvg(label, size))}`,
              style: { width: '100%', maxWidth: PREVIEW_PX, border: '1px solid', display: 'block' },
            })}
            <Words size="label" tone="muted" testID="label-count">
              {each
                ? LABEL_SCREEN.sheetPrint(countWords(copies, 'label', 'labels'), countWords(sheets.length, 'sheet', 'sheets'), each)
                : LABEL_SCREEN.printAt(countWords(copies, 'label', 'labels'))}
            </Words>
            <Words size="note" tone="muted" testID="label-code">
              {LABEL_SCREEN.itsCodeOpens(label.url, isHereAlone(label.url))}
            </Words>
          </>
        )}
        <OnPaper whole sheets={() => sheets} size={page && `${page.width_mm}mm ${page.height_mm}mm`} />
        <Action title={WORDS.print} disabled={sheets.length === 0} testID="print" onPress={() => window.print()} />
      </View>
    </Screen>
  );
}

export const LabelScreen = inFormUnits(LabelForm);
