/** The body from the side, in true order: its face wherever it appears. */
import { type Footprint, footprintHole, footprintSpan } from '@torvin/core/body';
import type { Ghost } from '@torvin/core/look';
import type { DrawnBody, DrawnLayer } from '@torvin/core/piece';
import { formatStock, type LengthUnit, text } from '@torvin/core/units';
import { View } from 'react-native';
import Svg, { G, Line, Path, Rect } from 'react-native-svg';
import { useUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { HiddenTable } from '@/ui/HiddenTable';
import { Words } from '@/ui/Words';
import { type SectionGeometry, sectionGeometry } from './geometry';
import { firedSection } from './fired';
import { ghostPath } from './ghost';
import type { TimedSection } from './inTime';
import { SECTION_DRAWING } from './words';

export interface SectionDrawingProps {
  footprint: Footprint;
  /** Index 0 at the bottom. */
  layers: readonly DrawnLayer[];
  width: number;
  height: number;
  /** Leaves out the words around the drawing, for lists. */
  small?: boolean;
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
  small = false,
  bent = null,
  ran = null,
  ghost = null,
  dashed = SECTION_DRAWING.asItIs,
}: SectionDrawingProps) {
  const { colours } = useTheme();
  const units = useUnits();
  const span_m = footprintSpan(footprint);
  const dashed_m = ghost ? ghost.shape.depth_m + ghost.shape.relief_m + Math.abs(ghost.shape.crown_m) : 0;
  const room = ghost ? { depth_m: dashed_m, width_m: ghost.shape.width_m } : undefined;
  const drawn = sectionGeometry(span_m, layers, { width, height }, room, footprintHole(footprint));
  const fired = ghost ? null : firedSection({ footprint, layers: [...layers], bent, ran }, { width, height });
  return (
    <View style={{ backgroundColor: colours.surface }}>
      {!small && layers.length > 0 && !layers.some(isMould) && <ScaleNote exaggeration={(fired?.drawn ?? drawn).exaggeration} dashed={ghost ? dashed : null} />}
      <Svg width={width} height={height} role="img" aria-label={`${sectionWords(layers, units.length)}${ghost ? `; ${ghost.words}` : ''}`}>
        {fired ? (
          <FiredShapes fired={fired} width={width} small={small} />
        ) : (
          <SectionShapes drawn={drawn} layers={layers} width={width} small={small} ghost={ghost?.shape} />
        )}
      </Svg>
      {!small && <SectionTable layers={layers} unit={units.length} />}
    </View>
  );
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

/** A mould is hollow, and only its wall is known: it is drawn as one of no certain height. */
const isMould = ({ ware: item }: DrawnLayer): boolean => item !== undefined && item !== 'shelf' && item !== 'fibre';

const MOULD = { height: 0.9, rim: 0.1, floor: 0.3 };

function mouldPath(shelfY: number, { x, y, width }: { x: number; y: number; width: number }): string {
  const high = MOULD.height * (shelfY - y);
  const [rim, floor] = [MOULD.rim * width, MOULD.floor * high];
  const inside = width - 2 * rim;
  return `M${x} ${shelfY} V${shelfY - high} h${rim} q${inside * 0.08} ${high - floor} ${inside / 2} ${high - floor} q${inside * 0.42} 0 ${inside / 2} ${floor - high} h${rim} V${shelfY} Z`;
}

export interface SectionShapesProps {
  drawn: SectionGeometry;
  layers: readonly DrawnLayer[];
  width: number;
  small?: boolean;
  selected?: number | null;
  /** A layer under a finger, and how far it has been dragged, px. */
  lifted?: { layer: number; by: number } | null;
  ghost?: Ghost | null;
}

/** Glass in its form, or run out of the one that it had. */
export function FiredShapes({ fired: { drawn, glass, form }, width, small = false }: { fired: TimedSection; width: number; small?: boolean }) {
  const { colours } = useTheme();
  const line = small ? 0.75 : 1;
  return (
    <>
      <Rect x={0} y={drawn.shelfY} width={width} height={small ? 4 : 14} fill={colours.shelf} />
      {form && <Path d={form} fill={colours.shelf} stroke={colours.ink} strokeWidth={line} />}
      {glass.map(({ colour, path }, i) => (
        <Path key={i} d={path} fill={colour} stroke={colours.ink} strokeWidth={line} />
      ))}
      <Line x1={0} x2={width} y1={drawn.shelfY} y2={drawn.shelfY} stroke={colours.ink} strokeWidth={small ? 0.5 : 1} />
    </>
  );
}

/** How much of its height, or of half its width, a corner takes that a fuse has rounded. */
const ROUNDED_SHARE = 0.8;

/** A box that stands on its foot with its upper corners round. */
function softPath({ x, y, width, height }: { x: number; y: number; width: number; height: number }): string {
  const r = ROUNDED_SHARE * Math.min(height, width / 2);
  return `M${x} ${y + height}V${y + r}Q${x} ${y} ${x + r} ${y}H${x + width - r}Q${x + width} ${y} ${x + width} ${y + r}V${y + height}Z`;
}

interface Band {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** Of made glass its stripes within a box: on one another from below, or from left to right. */
function bandsOf({ stripes = [], stacked }: DrawnLayer, { x, y, width, height }: Band): (Band & { colour: string })[] {
  let done = 0;
  return stripes.map(({ colour, share }) => {
    const from = done;
    done += share;
    return stacked
      ? { x, width, y: y + height * (1 - done), height: height * share, colour }
      : { x: x + width * from, width: width * share, y, height, colour };
  });
}

export function SectionShapes({ drawn, layers, width, small = false, selected = null, lifted = null, ghost = null }: SectionShapesProps) {
  const { colours } = useTheme();
  const line = small ? 0.75 : 1;
  const stands = layers.findLastIndex(({ form }) => form !== 'pieces') + 1;
  const standing = drawn.shapes.filter(({ layer }) => layers[layer]?.form === 'pieces');
  return (
    <>
      <Rect x={0} y={drawn.shelfY} width={width} height={small ? 4 : 14} fill={colours.shelf} />
      {drawn.shapes.map(({ layer, round, ...box }, index) => {
        const chosen = layer === selected;
        return (
          <G key={index} y={lifted?.layer === layer ? lifted.by : 0} opacity={lifted?.layer === layer ? 0.7 : 1}>
            {layers[layer].softened && layer >= stands ? (
              <Path d={softPath(box)} fill={layers[layer].colour} stroke={colours.ink} strokeWidth={line} />
            ) : isMould(layers[layer]) ? (
              <Path d={mouldPath(drawn.shelfY, box)} fill={layers[layer].colour} stroke={colours.ink} strokeWidth={line} />
            ) : (
              <>
                {layers[layer].stripes && <Rect {...box} rx={round} fill={layers[layer].colour} />}
                {bandsOf(layers[layer], box).map(({ colour, ...band }, i) => (
                  <Rect key={i} {...band} fill={colour} />
                ))}
                <Rect
                  {...box}
                  rx={round}
                  fill={layers[layer].stripes ? 'none' : layers[layer].colour}
                  stroke={chosen ? colours.touch : colours.ink}
                  strokeWidth={chosen ? 3 : line}
                />
              </>
            )}
            {layers[layer].coated && <Coating {...box} side={layers[layer].coated} colour={colours.ink} />}
          </G>
        );
      })}
      <Line x1={0} x2={width} y1={drawn.shelfY} y2={drawn.shelfY} stroke={colours.ink} strokeWidth={small ? 0.5 : 1} />
      {ghost && <Path d={ghostPath(ghost, standing, drawn)} fill="none" stroke={colours.touch} strokeWidth={2} strokeDasharray="6 4" />}
    </>
  );
}

/** Ticks along the coated face. */
function Coating({ x, y, width, height, side, colour }: { x: number; y: number; width: number; height: number; side?: 'up' | 'down'; colour: string }) {
  const face = side === 'up' ? y + 2.5 : y + height - 2.5;
  return <Line x1={x + 2} x2={x + width - 2} y1={face} y2={face} stroke={colour} strokeWidth={3} strokeDasharray="2 4" />;
}
