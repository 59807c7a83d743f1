/** What is drawn of a body between crossed polarisers: colours of retardation, in nm, and the scale they are read by. */
import type { Footprint } from '@torvin/core/body';
import type { GlassConstants } from '@torvin/core/glass';
import { interferenceColour, retardation } from '@torvin/core/stress';
import { formatStress, text } from '@torvin/core/units';
import { useId } from 'react';
import Svg, { ClipPath, Defs, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { outlineIn } from '@/section/outline';
import { useUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { fonts } from '@/theme/theme';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { POLARISER_VIEWS } from './words';

export const EDGE_HEIGHT = 120;
export const LOOK_HEIGHT = 170;
const SCALE_STEPS = 60;
const SCALE_HEIGHT = 22;
/** A band along the rim is drawn at least so wide, and at most a third of the lesser side. */
const LEAST_BAND_PX = 14;

/** Depth upwards, exaggerated; each slice in the colour of its retardation. */
export function Edgewise({ width, edge, added }: { width: number; edge: readonly { z_m: number; retardation_nm: number }[]; added: number }) {
  const { colours } = useTheme();
  const foot = edge[0].z_m;
  const depth = edge[edge.length - 1].z_m - foot;
  const y = (z_m: number): number => EDGE_HEIGHT * (1 - (z_m - foot) / depth);
  return (
    <Svg width={width} height={EDGE_HEIGHT} role="img" aria-label={POLARISER_VIEWS.bodyEdgewiseBetween}>
      {edge.slice(1).map(({ z_m, retardation_nm }, i) => (
        <Rect
          key={i}
          x={0}
          y={y(z_m)}
          width={width}
          height={y(edge[i].z_m) - y(z_m) + 0.5}
          fill={interferenceColour(added + (retardation_nm + edge[i].retardation_nm) / 2)}
        />
      ))}
      <Rect x={0.5} y={0.5} width={width - 1} height={EDGE_HEIGHT - 1} fill="none" stroke={colours.ink} />
    </Svg>
  );
}

export interface LookedThroughProps {
  width: number;
  footprint: Footprint;
  /** From the rim inwards. */
  rim: readonly { x_m: number; retardation_nm: number }[];
  added: number;
}

/**
 * From above, to scale: the inside in the colour of no stress, the band along the rim as strokes of its outline, the widest
 * first, so that any outline has it all the way round.
 */
export function LookedThrough({ width, footprint, rim, added }: LookedThroughProps) {
  const { colours } = useTheme();
  const clip = `look-${useId().replace(/\W/g, '')}`;
  const drawn = outlineIn(footprint, { width: width - 2, height: LOOK_HEIGHT - 2 });
  const widest_m = rim[rim.length - 1]?.x_m ?? 0;
  const band = Math.min(Math.max(widest_m * drawn.pxPerMetre, LEAST_BAND_PX), Math.min(drawn.width, drawn.height) / 3);
  const [left, top] = [(width - drawn.width) / 2, (LOOK_HEIGHT - drawn.height) / 2];
  return (
    <Svg width={width} height={LOOK_HEIGHT} role="img" aria-label={POLARISER_VIEWS.bodyLookedThrough}>
      <Defs>
        <ClipPath id={clip}>
          <Path d={drawn.path} />
        </ClipPath>
      </Defs>
      <G x={left} y={top}>
        <G clipPath={`url(#${clip})`}>
          <Path d={drawn.path} fill={interferenceColour(added)} />
          {[...rim].reverse().map(({ x_m, retardation_nm }, i) => (
            <Path
              key={i}
              d={drawn.path}
              fill="none"
              stroke={interferenceColour(added + retardation_nm)}
              strokeWidth={2 * Math.max((x_m / widest_m) * band, 1)}
              strokeLinejoin="round"
            />
          ))}
        </G>
        <Path d={drawn.path} fill="none" stroke={colours.ink} strokeWidth={1} />
      </G>
    </Svg>
  );
}

interface ScaleProps {
  glass: GlassConstants;
  path_m: number;
  most_nm: number;
  added: number;
}

/** Colours against stress along this path, compression at the left, tension at the right. */
export function Scale({ glass, path_m, most_nm, added }: ScaleProps) {
  const { colours } = useTheme();
  const perPa = Math.abs(retardation(glass, 1, path_m));
  const most_Pa = most_nm / perPa;
  const stress = text(formatStress(most_Pa, useUnits().length));
  const sign = Math.sign(retardation(glass, 1, path_m)) || 1;
  return (
    <MeasuredWidth height={SCALE_HEIGHT + 18}>
      {(width) => (
        <Svg width={width} height={SCALE_HEIGHT + 18} role="img" aria-label={POLARISER_VIEWS.scaleCompressionTension(stress)}>
          {Array.from({ length: SCALE_STEPS }, (_, i) => {
            const share = (2 * (i + 0.5)) / SCALE_STEPS - 1;
            return (
              <Rect
                key={i}
                x={(i * width) / SCALE_STEPS}
                y={0}
                width={width / SCALE_STEPS + 0.5}
                height={SCALE_HEIGHT}
                fill={interferenceColour(added + sign * share * most_nm)}
              />
            );
          })}
          {[0, 0.5, 1].map((share) => (
            <Line key={share} x1={share * width} x2={share * width} y1={SCALE_HEIGHT} y2={SCALE_HEIGHT + 4} stroke={colours.ink} />
          ))}
          {(
            [
              [0, 'start', POLARISER_VIEWS.compression(stress)],
              [0.5, 'middle', '0'],
              [1, 'end', POLARISER_VIEWS.tension(stress)],
            ] as const
          ).map(([share, anchor, words]) => (
            <SvgText key={share} x={share * width} y={SCALE_HEIGHT + 16} textAnchor={anchor} fill={colours.ink} fontFamily={fonts.words} fontSize={12}>
              {words}
            </SvgText>
          ))}
        </Svg>
      )}
    </MeasuredWidth>
  );
}
