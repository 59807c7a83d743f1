/** The body between crossed polarisers after this firing: edgewise and looked through, beside a picture of a real look. */
import { footprintSpan } from '@torvin/core/body';
import type { GlassConstants } from '@torvin/core/glass';
import type { PurposefulSegment } from '@torvin/core/kiln';
import { type Evaluation, type FiringCase, glassOf, plainBeside } from '@torvin/core/schedule';
import { type StressRead, TINT_PLATE_NM, edgeOn, greatestTension, rimBand, stressRead } from '@torvin/core/stress';
import { type LengthUnit, formatLength, formatStress, text } from '@torvin/core/units';
import type { Measured } from '@torvin/schema';
import { createElement, useMemo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { useComputed } from '@/engine/useComputed';
import { Thumbnail, photoUrl } from '@/photos/Thumbnail';
import { WORK_CAUTIONS } from '@/layup/cautions';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Choice } from '@/ui/Choice';
import { HiddenTable } from '@/ui/HiddenTable';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { EDGE_HEIGHT, Edgewise, LOOK_HEIGHT, LookedThrough, Scale } from './polariserViews';
import { WORDS } from '@/ui/said';
import { POLARISER_PANEL } from './words';

type PlateKind = 'dark' | 'tint';

export interface PolariserPanelProps {
  firing: FiringCase;
  evaluation: Evaluation;
  /** Pictures of this piece after its firings, by hash: what was really seen. */
  photos: readonly string[];
  /** What was read on it, or on a plain piece beside it, after these rows ran. */
  read?: Pick<Measured, 'stress' | 'alongside_m'> & { segments: readonly PurposefulSegment[] };
}

export function PolariserPanel({ firing, evaluation, photos, read }: PolariserPanelProps) {
  const { length } = useUnits();
  const [plate, setPlate] = useState<PlateKind>('dark');
  const { residual } = evaluation.simulation;
  const glass = useMemo(() => glassOf(firing), [firing]);
  const path_m = footprintSpan(firing.body.footprint);
  const edge = useMemo(() => edgeOn(glass, residual ?? [], path_m), [glass, residual, path_m]);
  const rim = useMemo(() => rimBand(glass, residual ?? []), [glass, residual]);
  if (!residual || residual.length === 0 || firing.body.casting?.slender) return <Words>{POLARISER_PANEL.theseViewsPlates}</Words>;
  const stress = read?.stress;
  const depth_m = residual[residual.length - 1].z_m - residual[0].z_m;
  const added = plate === 'tint' ? TINT_PLATE_NM : 0;
  const stresses = residual.map(({ stress_Pa }) => stress_Pa);
  const [tension, compression] = [Math.max(...stresses), Math.min(...stresses)];
  const most_nm = Math.max(...edge.map(({ retardation_nm }) => Math.abs(retardation_nm)));
  const rim_nm = Math.max(...rim.map(({ retardation_nm }) => Math.abs(retardation_nm)));
  const written = (metres: number): string => text(formatLength(metres, length));
  return (
    <View style={{ gap: space.small }}>
      {evaluation.uneven && <Words size="label">{POLARISER_PANEL.standsForUneven(written(depth_m))}</Words>}
      {stress && <ReadStress {...{ firing, stress, glass }} kept_Pa={greatestTension(residual)} alongside_m={read.alongside_m} segments={read.segments} />}
      <Choice<PlateKind>
        label={POLARISER_PANEL.betweenThePolarisers}
        value={plate}
        options={[
          { value: 'dark', title: POLARISER_PANEL.nothing },
          { value: 'tint', title: POLARISER_PANEL.aTintPlate, note: POLARISER_PANEL.tellsTensionCompression },
        ]}
        onChange={setPlate}
        testID="plate"
      />
      <Words size="label" tone="muted">
        {POLARISER_PANEL.edgewiseThroughGreatest(
          written(path_m),
          text(formatStress(tension, length)),
          text(formatStress(-compression, length)),
          most_nm.toFixed(0),
        )}
      </Words>
      <MeasuredWidth height={EDGE_HEIGHT}>{(width) => <Edgewise width={width} edge={edge} added={added} />}</MeasuredWidth>
      <Scale glass={glass} path_m={path_m} most_nm={Math.max(most_nm, 1)} added={added} />
      <Profile residual={residual} edge={edge} unit={length} />
      <Words size="label" tone="muted">
        {POLARISER_PANEL.lookedThroughDeep(written(depth_m), rim_nm.toFixed(1))}
      </Words>
      <View style={{ flexDirection: 'row', gap: space.small, alignItems: 'flex-start' }}>
        <View style={{ flex: 1 }}>
          <MeasuredWidth height={LOOK_HEIGHT}>
            {(width) => <LookedThrough width={width} footprint={firing.body.footprint} rim={rim} added={added} />}
          </MeasuredWidth>
        </View>
        <RealLook photos={photos} />
      </View>
      <Notice tone="care">{WORK_CAUTIONS.stress}</Notice>
    </View>
  );
}

interface ReadStressProps {
  firing: FiringCase;
  glass: GlassConstants;
  /** Greatest tension that is calculated for the piece, Pa. */
  kept_Pa: number;
  stress: StressRead;
  alongside_m: number | null;
  segments: readonly PurposefulSegment[];
}

/** Stress calculated, and as it was read on the piece, or on a plain one that stands for it. */
function ReadStress({ firing, glass, kept_Pa, stress, alongside_m, segments }: ReadStressProps) {
  const { length } = useUnits();
  const plain = useComputed(
    'evaluate',
    useMemo(() => (alongside_m === null ? null : { firing: plainBeside(firing, alongside_m), segments: [...segments] }), [firing, alongside_m, segments]),
  );
  const written = (pascals: number): string => text(formatStress(pascals, length));
  const read_Pa = stressRead(glass, stress);
  if (alongside_m === null) {
    return (
      <Words bold testID="stress-read">
        {POLARISER_PANEL.readBeside(written(read_Pa), written(kept_Pa))}
      </Words>
    );
  }
  const plain_Pa = plain.value ? greatestTension(plain.value.simulation.residual ?? []) : 0;
  if (plain_Pa <= 0) return <Words tone="muted">{plain.problem ? plain.problem.message : WORDS.calculating}</Words>;
  return (
    <Words bold testID="stress-read">
      {POLARISER_PANEL.readOnPlain(written(read_Pa), written(plain_Pa), written((kept_Pa * read_Pa) / plain_Pa), written(kept_Pa))}
    </Words>
  );
}

const STATIONS = 9;

/** The same in figures, at a few heights. */
function Profile({
  residual,
  edge,
  unit,
}: {
  residual: readonly { z_m: number; stress_Pa: number }[];
  edge: readonly { retardation_nm: number }[];
  unit: LengthUnit;
}) {
  const foot_m = residual[0].z_m;
  const rows = Array.from({ length: STATIONS }, (_, i) => Math.round((i * (residual.length - 1)) / (STATIONS - 1))).map((at) => [
    text(formatLength(residual[at].z_m - foot_m, unit)),
    `${text(formatStress(Math.abs(residual[at].stress_Pa), unit))} ${residual[at].stress_Pa > 0 ? 'tension' : 'compression'}`,
    POLARISER_PANEL.nm(edge[at].retardation_nm.toFixed(0)),
  ]);
  return (
    <HiddenTable
      caption={POLARISER_PANEL.stressStaysUnderside}
      heads={['height', 'stress', POLARISER_PANEL.retardationEdgewise]}
      rows={rows}
      testID="stress-table"
    />
  );
}

/** A picture of the piece itself at the same height as the drawing. */
function RealLook({ photos }: { photos: readonly string[] }) {
  const { colours } = useTheme();
  const [chosen, setChosen] = useState(0);
  const hash = photos[Math.min(chosen, photos.length - 1)];
  if (hash === undefined) {
    return (
      <View style={{ flex: 1, minHeight: LOOK_HEIGHT, justifyContent: 'center', padding: space.medium, borderWidth: 1, borderColor: colours.line }}>
        <Words size="label" tone="muted">
          {POLARISER_PANEL.besideStandsYour}
        </Words>
      </View>
    );
  }
  return (
    <View style={{ flex: 1, gap: space.small }} testID="real-look">
      {createElement('img', {
        src: photoUrl(hash, 'large'),
        alt: POLARISER_PANEL.picturePieceAfter,
        style: { width: '100%', height: LOOK_HEIGHT, objectFit: 'contain', background: '#000', display: 'block' },
      })}
      {photos.length > 1 && (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.hair }}>
          {photos.map((one, i) => (
            <Pressable key={one} role="button" aria-pressed={one === hash} aria-label={POLARISER_PANEL.picture(i + 1)} onPress={() => setChosen(i)}>
              <Thumbnail hash={one} px={48} alt="" />
            </Pressable>
          ))}
        </View>
      )}
    </View>
  );
}
