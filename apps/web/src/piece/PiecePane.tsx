/** One piece: its section, its figures, its sheets, and the firing it is to have. */
import { type GlassConstants, bodyFigures, evenSheets, formatLength, formatMass, text } from '@torvin/core';
import { type Piece, type Shelves, familyOf } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { usePiece, useShelves } from '@/data/pieces';
import { SectionDrawing } from '@/section/SectionDrawing';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { FigureBlock } from '@/ui/FigureBlock';
import { Waiting } from '@/ui/Loading';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { FiringPlan } from './FiringPlan';
import { Swatch } from './LayerRows';
import { drawnLayers, footprintWords } from './describe';

const BACK = { title: 'Pieces', href: '/pieces' };
const DRAWING_HEIGHT = 180;

export function PiecePane({ id, beside = false }: { id: string; beside?: boolean }) {
  const piece = usePiece(id);
  const shelves = useShelves();
  if (!piece.data) return <Waiting query={piece} title="Piece" back={BACK} />;
  if (!shelves.data) return <Waiting query={shelves} title={piece.data.name} back={BACK} />;
  return <PieceView piece={piece.data} shelves={shelves.data} beside={beside} />;
}

function PieceView({ piece, shelves, beside }: { piece: Piece; shelves: Shelves; beside: boolean }) {
  const { colours } = useTheme();
  const router = useRouter();
  const layers = drawnLayers(piece.doc, shelves);
  const family = familyOf(piece.doc, shelves);
  return (
    <Screen title={piece.name} subtitle={footprintWords(piece.doc.footprint)} back={BACK} plain={beside} padded={false}>
      <MeasuredWidth height={DRAWING_HEIGHT}>
        {(width) => <SectionDrawing footprint={piece.doc.footprint} layers={layers} width={width} height={DRAWING_HEIGHT} />}
      </MeasuredWidth>
      <View style={{ padding: space.large, gap: space.large }}>
        {family.ok && <BodyFigures piece={piece} family={family.value} />}
        <View>
          {layers
            .map((layer, index) => (
              <View
                key={index}
                style={{ flexDirection: 'row', alignItems: 'center', gap: space.medium, minHeight: 48, borderTopWidth: 1, borderColor: colours.line }}
              >
                <Swatch colour={layer.colour} />
                <View style={{ flex: 1 }}>
                  <Words bold>{layer.name}</Words>
                </View>
                <Words>{text(formatLength(layer.thickness_m, 'mm'))}</Words>
              </View>
            ))
            .reverse()}
          <View style={{ borderTopWidth: 1, borderColor: colours.line, flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' }}>
            <Words size="label" tone="muted">
              {family.ok ? `${family.value.name}, on a primed shelf` : family.problem.message}
            </Words>
            <Action kind="plain" title="Change" label="Change the lay-up" testID="edit-piece" onPress={() => router.push(`/pieces/${piece.id}/edit`)} />
          </View>
        </View>
        <FiringPlan key={piece.id} piece={piece} shelves={shelves} beside={beside} />
      </View>
    </Screen>
  );
}

const RIM = {
  'runs-out': (rest: string) => `Deeper than the ${rest} at which hot glass rests: given heat it runs out at the rim unless dammed.`,
  'draws-in': (rest: string) => `Thinner than the ${rest} at which hot glass rests: the rim draws in and thickens.`,
  stays: (rest: string) => `Near the ${rest} at which hot glass rests: the rim hardly moves.`,
  fills: () => 'Fills its dam, given heat enough.',
  scallops: (rest: string) => `Less than the ${rest} at which hot glass rests: it draws back from the dam and leaves a scalloped edge.`,
} as const;

function BodyFigures({ piece, family }: { piece: Piece; family: GlassConstants }) {
  const { depth, mass_kg, afterFiring } = bodyFigures({ glasses: [family], layers: evenSheets(piece.doc.layers), footprint: piece.doc.footprint });
  return (
    <View style={{ gap: space.small }}>
      <View style={{ flexDirection: 'row', gap: space.large }}>
        <FigureBlock label="depth" value={formatLength(depth.mean_m, 'mm')} note={text(formatLength(depth.mean_m, 'in'))} testID="figure-depth" />
        <FigureBlock label="mass" value={formatMass(mass_kg, 'metric')} note={text(formatMass(mass_kg, 'imperial'))} testID="figure-mass" />
        <FigureBlock label="rests at" value={formatLength(afterFiring.naturalDepth_m, 'mm')} note="if left to flow" />
      </View>
      <Words>{RIM[afterFiring.tendency](text(formatLength(afterFiring.naturalDepth_m, 'mm')))}</Words>
    </View>
  );
}
