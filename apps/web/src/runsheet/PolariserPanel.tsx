/** The body between crossed polarisers after this firing: edgewise and looked through, from the stress that stays. */
import {
  type Evaluation,
  type FiringCase,
  TINT_PLATE_NM,
  edgeOn,
  footprintSpan,
  formatLength,
  formatStress,
  glassOf,
  interferenceColour,
  retardation,
  rimBand,
  text,
} from '@torvin/core';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg';
import { useUnits } from '@/data/studio';
import { WORK_CAUTIONS } from '@/piece/cautions';
import { useTheme } from '@/theme/ThemeContext';
import { fonts, space } from '@/theme/theme';
import { Choice } from '@/ui/Choice';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';

type PlateKind = 'dark' | 'tint';

export interface PolariserPanelProps {
  firing: FiringCase;
  evaluation: Evaluation;
}

const EDGE_HEIGHT = 120;
const SCALE_STEPS = 60;
const SCALE_HEIGHT = 22;

export function PolariserPanel({ firing, evaluation }: PolariserPanelProps) {
  const units = useUnits();
  const [plate, setPlate] = useState<PlateKind>('dark');
  const { residual } = evaluation.simulation;
  if (!residual || residual.length === 0) return <Words>Stress is followed in plates alone; this body is none.</Words>;
  const glass = glassOf(firing);
  const path_m = footprintSpan(firing.body.footprint);
  const depth_m = residual[residual.length - 1].z_m - residual[0].z_m;
  const added = plate === 'tint' ? TINT_PLATE_NM : 0;
  const edge = edgeOn(glass, residual, path_m);
  const rim = rimBand(glass, residual);
  const stresses = residual.map(({ stress_Pa }) => stress_Pa);
  const [pulled, pressed] = [Math.max(...stresses), Math.min(...stresses)];
  const most_nm = Math.max(...edge.map(({ retardation_nm }) => Math.abs(retardation_nm)));
  return (
    <View style={{ gap: space.small }}>
      <Choice<PlateKind>
        label="Between the polarisers"
        value={plate}
        options={[
          { value: 'dark', title: 'Nothing' },
          { value: 'tint', title: 'A tint plate', note: 'shows pull from press' },
        ]}
        onChange={setPlate}
        testID="plate"
      />
      <Words
        size="label"
        tone="muted"
      >{`Edgewise, through ${text(formatLength(path_m, units.length))}: greatest pull ${text(formatStress(pulled))}, greatest press ${text(formatStress(-pressed))}, ${most_nm.toFixed(0)} nm.`}</Words>
      <MeasuredWidth height={EDGE_HEIGHT}>{(width) => <Edgewise width={width} edge={edge} added={added} />}</MeasuredWidth>
      <Scale glass={glass} path_m={path_m} most_nm={Math.max(most_nm, 1)} added={added} />
      <Words
        size="label"
        tone="muted"
      >{`Looked through, ${text(formatLength(depth_m, units.length))} deep: dark but for a band along the rim, half its depth wide, ${Math.max(...rim.map(({ retardation_nm }) => Math.abs(retardation_nm))).toFixed(1)} nm.`}</Words>
      <MeasuredWidth height={EDGE_HEIGHT}>{(width) => <LookedThrough width={width} rim={rim} span_m={path_m} added={added} />}</MeasuredWidth>
      <Notice tone="care">{WORK_CAUTIONS.stress}</Notice>
    </View>
  );
}

/** Depth upwards, exaggerated; each slice in the colour of its retardation. */
function Edgewise({ width, edge, added }: { width: number; edge: readonly { z_m: number; retardation_nm: number }[]; added: number }) {
  const { colours } = useTheme();
  const foot = edge[0].z_m;
  const depth = edge[edge.length - 1].z_m - foot;
  const y = (z_m: number): number => EDGE_HEIGHT * (1 - (z_m - foot) / depth);
  return (
    <Svg width={width} height={EDGE_HEIGHT} role="img" aria-label="The body edgewise between crossed polarisers">
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

/** From above: the band along the rim widened so that it can be seen, the rest in the colour of no stress. */
function LookedThrough({
  width,
  rim,
  span_m,
  added,
}: {
  width: number;
  rim: readonly { x_m: number; retardation_nm: number }[];
  span_m: number;
  added: number;
}) {
  const { colours } = useTheme();
  const widest = rim[rim.length - 1]?.x_m ?? 0;
  const drawn = Math.min(Math.max((widest / span_m) * width, 14), EDGE_HEIGHT / 3);
  return (
    <Svg width={width} height={EDGE_HEIGHT} role="img" aria-label="The body looked through between crossed polarisers">
      {rim.map(({ x_m, retardation_nm }, i) => {
        const inset = (x_m / widest) * drawn;
        return (
          <Rect key={i} x={inset} y={inset} width={width - 2 * inset} height={EDGE_HEIGHT - 2 * inset} fill={interferenceColour(added + retardation_nm)} />
        );
      })}
      <Rect x={drawn} y={drawn} width={width - 2 * drawn} height={EDGE_HEIGHT - 2 * drawn} fill={interferenceColour(added)} />
      <Rect x={0.5} y={0.5} width={width - 1} height={EDGE_HEIGHT - 1} fill="none" stroke={colours.ink} />
    </Svg>
  );
}

interface ScaleProps {
  glass: ReturnType<typeof glassOf>;
  path_m: number;
  most_nm: number;
  added: number;
}

/** Colours against stress along this path, press at the left, pull at the right. */
function Scale({ glass, path_m, most_nm, added }: ScaleProps) {
  const { colours } = useTheme();
  const perPa = Math.abs(retardation(glass, 1, path_m));
  const most_Pa = most_nm / perPa;
  const sign = Math.sign(retardation(glass, 1, path_m)) || 1;
  return (
    <MeasuredWidth height={SCALE_HEIGHT + 18}>
      {(width) => (
        <Svg
          width={width}
          height={SCALE_HEIGHT + 18}
          role="img"
          aria-label={`Scale: from ${text(formatStress(most_Pa))} press to ${text(formatStress(most_Pa))} pull`}
        >
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
              [0, 'start', `press ${text(formatStress(most_Pa))}`],
              [0.5, 'middle', '0'],
              [1, 'end', `pull ${text(formatStress(most_Pa))}`],
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
