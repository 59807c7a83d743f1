/** How a piece is cut: to an outline, into strips or segments, or a slice off a face. */
import { footprintArea } from '@torvin/core/body';
import { type BenchStep, type Cutting, FACES, type JourneyStep, KERF_RANGE_M, OFF_RANGE_M, SEGMENTS_RANGE, STRIP_RANGE_M } from '@torvin/core/piece';
import { type LengthUnit, suggested } from '@torvin/core/units';
import { useUnits } from '@/data/FormUnits';
import { Choice } from '@/ui/Choice';
import { Count, Length } from '@/layup/HandSteppers';
import { SHAPES, SHAPE_TITLES } from '@/layup/pieceEntry';
import { CUT_FIELDS } from './words';
import { WORDS } from '@/ui/said';

const CUT_TITLES: { value: Cutting['to']; title: string }[] = [
  { value: 'outline', title: CUT_FIELDS.toAnOutline },
  { value: 'strips', title: WORDS.strips },
  { value: 'segments', title: WORDS.segments },
  { value: 'slice', title: CUT_FIELDS.sliceOffFace },
];

const usualCut = (length: LengthUnit): { [K in Cutting['to']]: Extract<Cutting, { to: K }> } => ({
  outline: { to: 'outline', outline: { shape: 'disc', diameter_m: suggested(0.1, length) } },
  strips: { to: 'strips', strip_m: suggested(0.01, length), stand: 'flat' },
  segments: { to: 'segments', count: 8 },
  slice: { to: 'slice', face: 'up', depth_m: suggested(0.002, length) },
});

export function CutFields({ step, change }: { step: Extract<BenchStep, { kind: 'cut' }>; change(next: JourneyStep, what: string): void }) {
  const { length } = useUnits();
  const { cut } = step;
  const set = (next: Cutting, what: string): void => change({ ...step, cut: next }, what);
  return (
    <>
      <Choice label={CUT_FIELDS.cut} value={cut.to} options={CUT_TITLES} onChange={(to) => to !== cut.to && set(usualCut(length)[to], 'cut')} testID="cut" />
      {cut.to === 'outline' && <OutlineFields cut={cut} set={set} />}
      {cut.to === 'strips' && (
        <>
          <Length
            label={CUT_FIELDS.wide}
            name={CUT_FIELDS.aStrip}
            value_m={cut.strip_m}
            range={STRIP_RANGE_M}
            onValue={(strip_m) => set({ ...cut, strip_m }, 'strip')}
            testID="strip"
          />
          <Choice
            label={CUT_FIELDS.laidAgain}
            value={cut.stand}
            options={[
              { value: 'flat', title: CUT_FIELDS.flatSideSide },
              { value: 'onEdge', title: CUT_FIELDS.onEdge },
            ]}
            onChange={(stand) => set({ ...cut, stand }, 'stand')}
            testID="stand"
          />
        </>
      )}
      {cut.to === 'segments' && (
        <Count
          label={CUT_FIELDS.number}
          name={CUT_FIELDS.numberSegments}
          value={cut.count}
          range={SEGMENTS_RANGE}
          onValue={(count) => set({ ...cut, count }, 'count')}
          testID="segments"
        />
      )}
      {cut.to === 'slice' && (
        <>
          <Choice label={CUT_FIELDS.fromThe} value={cut.face} options={FACES} onChange={(face) => set({ ...cut, face }, 'face')} testID="slice-face" />
          <Length
            label={CUT_FIELDS.deep}
            name={CUT_FIELDS.theSlice}
            value_m={cut.depth_m}
            range={OFF_RANGE_M}
            onValue={(depth_m) => set({ ...cut, depth_m }, 'depth')}
            testID="slice"
          />
        </>
      )}
      <Length
        label={CUT_FIELDS.kerf}
        name={CUT_FIELDS.theKerf}
        value_m={step.kerf_m}
        range={KERF_RANGE_M}
        onValue={(kerf_m) => change({ ...step, kerf_m }, 'kerf')}
        testID="kerf"
      />
    </>
  );
}

const SIZE_RANGE = { least: 0.01, most: 2 };

function OutlineFields({ cut, set }: { cut: Extract<Cutting, { to: 'outline' }>; set(next: Cutting, what: string): void }) {
  const { outline } = cut;
  const across_m = Math.sqrt(footprintArea(outline));
  const shapes = {
    disc: { shape: 'disc', diameter_m: across_m },
    rectangle: { shape: 'rectangle', width_m: across_m, length_m: across_m },
    oval: { shape: 'oval', width_m: across_m, length_m: across_m },
    ring: { shape: 'ring', diameter_m: across_m, inner_m: across_m / 2 },
  } as const;
  return (
    <>
      <Choice
        label={CUT_FIELDS.outline}
        value={outline.shape === 'polygon' ? null : outline.shape}
        options={SHAPES.map((value) => ({ value, title: SHAPE_TITLES[value] }))}
        onChange={(shape) => shape !== outline.shape && set({ ...cut, outline: shapes[shape] }, 'outline')}
        testID="outline"
      />
      {(outline.shape === 'disc' || outline.shape === 'ring') && (
        <Length
          label={CUT_FIELDS.across}
          name={CUT_FIELDS.theOutline}
          value_m={outline.diameter_m}
          range={SIZE_RANGE}
          onValue={(diameter_m) => set({ ...cut, outline: { ...outline, diameter_m } }, 'across')}
          testID="outline-across"
        />
      )}
      {outline.shape === 'ring' && (
        <Length
          label={CUT_FIELDS.hole}
          name={CUT_FIELDS.theHole}
          value_m={outline.inner_m}
          range={{ ...SIZE_RANGE, most: Math.min(SIZE_RANGE.most, outline.diameter_m - 0.005) }}
          onValue={(inner_m) => set({ ...cut, outline: { ...outline, inner_m } }, 'hole')}
          testID="outline-inner"
        />
      )}
      {(outline.shape === 'rectangle' || outline.shape === 'oval') && (
        <>
          <Length
            label={CUT_FIELDS.wide}
            name={WORDS.theWidth}
            value_m={outline.width_m}
            range={SIZE_RANGE}
            onValue={(width_m) => set({ ...cut, outline: { ...outline, width_m } }, 'width')}
            testID="outline-width"
          />
          <Length
            label={CUT_FIELDS.long}
            name={WORDS.theLength}
            value_m={outline.length_m}
            range={SIZE_RANGE}
            onValue={(length_m) => set({ ...cut, outline: { ...outline, length_m } }, 'length')}
            testID="outline-length"
          />
        </>
      )}
    </>
  );
}
