/** The body from the side, in true order: its face wherever it appears. */
import { type Footprint, footprintHole, footprintSpan } from '@torvin/core/body';
import type { Ghost } from '@torvin/core/look';
import type { DrawnBody, DrawnLayer } from '@torvin/core/piece';
import { formatStock, type LengthUnit, text } from '@torvin/core/units';
import { type ComponentType, createElement } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Path, Rect } from 'react-native-svg';
import { useUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { HiddenTable } from '@/ui/HiddenTable';
import { Words } from '@/ui/Words';
import { type SectionGeometry, sectionGeometry } from './geometry';
import { firedSection } from './fired';
import type { TimedSection } from './inTime';
import { type Mark, edgeMark, firedMarks, ghostMark, isMould, pictureOf, sectionMarks, shapeMarks, shelfMark } from './marks';
import { SECTION_DRAWING } from './words';

export interface SectionDrawingProps {
  footprint: Footprint;
  /** Index 0 at the bottom. */
  layers: readonly DrawnLayer[];
  width: number;
  height: number;
  /** What a firing has made of it beside joining it: bent, cast, run out. */
  bent?: DrawnBody['bent'];
  ran?: DrawnBody['ran'];
  /** What has become of it, drawn over it; in words for who does not see it. */
  ghost?: { shape: Ghost; words: string } | null;
  /** What the dashed outline is. */
  dashed?: string;
}

/** As a sentence, for those who do not see it. */
export function sectionWords(layers: readonly DrawnLayer[], unit: LengthUnit): string {
  const one = ({ name, form, thickness_m, cover, count, coated }: DrawnLayer): string =>
    [
      form && form !== 'sheet' ? `${name} ${form}` : name,
      text(formatStock(thickness_m, unit)),
      ...(count === undefined ? [] : [SECTION_DRAWING.ofThem(count)]),
      ...(cover === undefined ? [] : [SECTION_DRAWING.over(Math.round(cover * 100))]),
      ...(coated ? [SECTION_DRAWING.coating(coated)] : []),
    ].join(', ');
  return layers.length === 0 ? SECTION_DRAWING.aBareShelf : SECTION_DRAWING.sectionBottomTop(layers.map(one).join('; '));
}

const HEADS = [SECTION_DRAWING.layerShelf, 'glass', 'form', 'depth', 'number', 'covers', 'coating'] as const;

/** The lay-up as a table beside its drawing. */
export function SectionTable({ layers, unit }: { layers: readonly DrawnLayer[]; unit: LengthUnit }) {
  const rows = layers.map(({ name, form, thickness_m, cover, count, coated, ware: item }, i) => [
    String(i + 1),
    name,
    form ?? (item ? SECTION_DRAWING.noGlass : 'sheet'),
    text(formatStock(thickness_m, unit)),
    count === undefined ? '1' : String(count),
    cover === undefined ? 'all' : `${Math.round(cover * 100)} %`,
    coated ?? 'none',
  ]);
  return <HiddenTable caption={SECTION_DRAWING.layUpBottom} heads={HEADS} rows={rows} testID="section-table" />;
}

/** dashed: what the dashed outline is of, where there is one. */
export const scaleWords = (exaggeration: number, dashed: string | null): string =>
  `${exaggeration === 1 ? SECTION_DRAWING.drawnToScale : SECTION_DRAWING.depthDrawn(exaggeration)}${dashed === null ? '' : SECTION_DRAWING.dashed(dashed)}`;

export function SectionDrawing({
  footprint,
  layers,
  width,
  height,
  bent = null,
  ran = null,
  ghost = null,
  dashed = SECTION_DRAWING.asItIs,
}: SectionDrawingProps) {
  const { colours } = useTheme();
  const units = useUnits();
  const dashed_m = ghost ? ghost.shape.depth_m + ghost.shape.relief_m + Math.abs(ghost.shape.crown_m) : 0;
  const room = ghost ? { depth_m: dashed_m, width_m: ghost.shape.width_m } : undefined;
  const drawn = sectionGeometry(footprintSpan(footprint), layers, { width, height }, room, footprintHole(footprint));
  const fired = ghost ? null : firedSection({ footprint, layers: [...layers], bent, ran }, { width, height });
  return (
    <View style={{ backgroundColor: colours.surface }}>
      {layers.length > 0 && !layers.some(isMould) && <ScaleNote exaggeration={(fired?.drawn ?? drawn).exaggeration} dashed={ghost ? dashed : null} />}
      <Svg width={width} height={height} role="img" aria-label={`${sectionWords(layers, units.length)}${ghost ? `; ${ghost.words}` : ''}`}>
        {fired ? <FiredShapes fired={fired} width={width} /> : <SectionShapes drawn={drawn} layers={layers} width={width} ghost={ghost?.shape} />}
      </Svg>
      <SectionTable layers={layers} unit={units.length} />
    </View>
  );
}

/** Small and finished, without the words around it: for lists and cards. */
export function SectionPicture({ footprint, layers, width, height, bent = null, ran = null }: Omit<SectionDrawingProps, 'ghost' | 'dashed'>) {
  const { colours } = useTheme();
  const units = useUnits();
  const box = { width, height };
  const fired = firedSection({ footprint, layers: [...layers], bent, ran }, box);
  const of = { width, colours, small: true };
  const marks = fired
    ? firedMarks(fired, of)
    : sectionMarks(sectionGeometry(footprintSpan(footprint), layers, box, undefined, footprintHole(footprint)), layers, of);
  return <Picture marks={marks} {...box} words={sectionWords(layers, units.length)} />;
}

/** Marks as one finished picture. */
export function Picture({ marks, words, ...box }: { marks: readonly Mark[]; width: number; height: number; words: string }) {
  const { colours } = useTheme();
  return createElement('img', { src: pictureOf(marks, box), alt: words, ...box, style: { display: 'block', background: colours.surface } });
}

export function ScaleNote({ exaggeration, dashed }: { exaggeration: number; dashed: string | null }) {
  return (
    <View style={{ position: 'absolute', top: 4, right: 12, zIndex: 1, pointerEvents: 'none' }}>
      <Words size="note" tone="muted">
        {scaleWords(exaggeration, dashed)}
      </Words>
    </View>
  );
}

const ELEMENTS: Record<Mark['of'], ComponentType<object>> = { rect: Rect, path: Path, line: Line };

/** Marks within a drawing. */
const Marked = ({ marks }: { marks: readonly Mark[] }) => marks.map(({ of, ...given }, i) => createElement(ELEMENTS[of], { key: i, ...given }));

export function FiredShapes({ fired, width }: { fired: TimedSection; width: number }) {
  const { colours } = useTheme();
  return <Marked marks={firedMarks(fired, { width, colours, small: false })} />;
}

export interface SectionShapesProps {
  drawn: SectionGeometry;
  layers: readonly DrawnLayer[];
  width: number;
  selected?: number | null;
  /** A layer under a finger, and how far it has been dragged, px. */
  lifted?: { layer: number; by: number } | null;
  ghost?: Ghost | null;
}

export function SectionShapes({ drawn, layers, width, selected = null, lifted = null, ghost = null }: SectionShapesProps) {
  const { colours } = useTheme();
  const of = { width, colours, small: false };
  return (
    <>
      <Marked marks={[shelfMark(drawn, of)]} />
      {drawn.shapes.map((shape, index) => (
        <G key={index} y={lifted?.layer === shape.layer ? lifted.by : 0} opacity={lifted?.layer === shape.layer ? 0.7 : 1}>
          <Marked marks={shapeMarks(shape, layers, drawn.shelfY, of, shape.layer === selected)} />
        </G>
      ))}
      <Marked marks={[edgeMark(drawn, of), ...(ghost ? [ghostMark(ghost, drawn, layers, colours)] : [])]} />
    </>
  );
}
