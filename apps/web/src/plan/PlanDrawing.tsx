/** A body from above, to scale: its outline in the colour of what covers it, and on it every part where it lies. */
import type { Footprint } from '@torvin/core/body';
import { type Point, footprintRings } from '@torvin/core/plan';
import { type LengthUnit, formatLength, text } from '@torvin/core/units';
import { memo } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Path, Text as SvgText } from 'react-native-svg';
import { useTheme } from '@/theme/ThemeContext';
import { fonts, wordSize } from '@/theme/theme';
import { type PlanGeometry, ringsPath } from './geometry';

/** A part as it is drawn. */
export interface DrawnPart {
  id: string;
  corners: Point[];
  colour: string;
  /** Of made glass its stripes, as they are seen. */
  bands?: readonly { corners: Point[]; colour: string }[];
  /** It has sunk in, lies under a sheet, or nobody has placed it yet. */
  as?: 'inlaid' | 'under' | 'spread';
}

export interface PlanShapesProps {
  drawn: PlanGeometry;
  footprint: Footprint;
  /** Of the uppermost layer that covers everything; null on a bare shelf. */
  ground: string | null;
  parts: readonly DrawnPart[];
  selected?: readonly string[];
  /** Instead of colours, how light they are. */
  grey?: boolean;
  /** Lets what lies under it be seen. */
  open?: boolean;
}

/** Lightness as an eye takes it, 0 to 1 (ITU-R BT.709), in grey. */
export function greyOf(colour: string): string {
  const parts = /^#(..)(..)(..)$/.exec(colour);
  if (!parts) return colour;
  const [r, g, b] = parts.slice(1).map((hex) => Number.parseInt(hex, 16));
  const level = Math.round(0.2126 * r + 0.7152 * g + 0.0722 * b)
    .toString(16)
    .padStart(2, '0');
  return `#${level}${level}${level}`;
}

interface PartShapeProps {
  part: DrawnPart;
  drawn: PlanGeometry;
  grey: boolean;
  ink: string;
  chosen: boolean;
  open: boolean;
}

/** Rests while another part is moved: hundreds of them lie under a finger. */
const PartShape = memo(function PartShape({ part: { corners, colour, bands, as }, drawn, grey, ink, chosen, open }: PartShapeProps) {
  const shade = (of: string): string => (grey ? greyOf(of) : of);
  const opacity = as === 'spread' || open ? 0.55 : as === 'under' ? 0.4 : 1;
  return (
    <>
      {bands?.map((band, i) => (
        <Path key={i} d={ringsPath([band.corners], drawn)} fill={shade(band.colour)} fillOpacity={opacity} />
      ))}
      <Path
        d={ringsPath([corners], drawn)}
        fill={bands ? 'none' : shade(colour)}
        fillOpacity={opacity}
        stroke={ink}
        strokeWidth={chosen ? 3 : as === 'inlaid' ? 0.4 : 1}
        strokeDasharray={as === 'spread' ? '4 3' : undefined}
      />
    </>
  );
});

export function PlanShapes({ drawn, footprint, ground, parts, selected = [], grey = false, open = false }: PlanShapesProps) {
  const { colours } = useTheme();
  const shade = (colour: string): string => (grey ? greyOf(colour) : colour);
  return (
    <G>
      <Path
        d={ringsPath(footprintRings(footprint), drawn)}
        fill={open ? 'none' : ground === null ? colours.shelf : shade(ground)}
        fillRule="evenodd"
        stroke={colours.ink}
        strokeWidth={1}
        strokeDasharray={ground === null ? '5 4' : undefined}
      />
      {parts.map((part) => (
        <PartShape
          key={part.id}
          part={part}
          drawn={drawn}
          grey={grey}
          ink={selected.includes(part.id) ? colours.touch : colours.ink}
          chosen={selected.includes(part.id)}
          open={open}
        />
      ))}
    </G>
  );
}

/** How wide the piece is, under it. */
export function PlanMeasure({ drawn, unit }: { drawn: PlanGeometry; unit: LengthUnit }) {
  const { colours } = useTheme();
  const { left, right, front } = drawn.within;
  const at = Math.max(drawn.y(front) + 12, drawn.height - 22);
  return (
    <G>
      <Line x1={drawn.x(left)} x2={drawn.x(right)} y1={at} y2={at} stroke={colours.muted} strokeWidth={1} />
      {[left, right].map((end) => (
        <Line key={end} x1={drawn.x(end)} x2={drawn.x(end)} y1={at - 4} y2={at + 4} stroke={colours.muted} strokeWidth={1} />
      ))}
      <SvgText x={drawn.x((left + right) / 2)} y={at + 16} textAnchor="middle" fontFamily={fonts.figuresBold} fontSize={wordSize.label} fill={colours.ink}>
        {text(formatLength(right - left, unit))}
      </SvgText>
    </G>
  );
}

/** A body from above or from behind, to be looked at alone. */
export function PlanPicture({ drawn, label, unit, ...shapes }: PlanShapesProps & { label: string; unit: LengthUnit }) {
  const { colours } = useTheme();
  return (
    <View style={{ backgroundColor: colours.surface }} testID="plan-picture">
      <Svg width={drawn.width} height={drawn.height} role="img" aria-label={label}>
        <PlanShapes drawn={drawn} {...shapes} />
        <PlanMeasure drawn={drawn} unit={unit} />
      </Svg>
    </View>
  );
}
