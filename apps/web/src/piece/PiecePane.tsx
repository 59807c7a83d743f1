/** One piece: its lay-up on the drawing, its figures, whether it fits, and the firings it is to have. */
import {
  aimedWork,
  neededWork,
  bodyAt,
  bodyFigures,
  changeLayer,
  drawnLayers,
  drawnWare,
  type Figure,
  footprintWords,
  formatLength,
  formatMass,
  type Ghost,
  ghostOf,
  layerName,
  moveLayer,
  namedGlasses,
  otherUnits,
  RECIPES,
  removeLayer,
  standsAs,
  snapshotOf,
  text,
  turnLayer,
  type Units,
  wareOf,
} from '@torvin/core';
import type { Piece, PieceDoc, Shelves, Step } from '@torvin/schema';
import { useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { keys } from '@/outside/keys';
import { usePiece, useSchedule, useShelves } from '@/data/pieces';
import { useUnits } from '@/data/studio';
import { SavePieceFile } from './PieceFileActions';
import { useOutbox, useSave } from '@/outbox/useOutbox';
import { SectionDrawing } from '@/section/SectionDrawing';
import { SectionEditor, ofFingers } from '@/section/SectionEditor';
import { trimsOf } from '@/section/trim';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { FigureBlock } from '@/ui/FigureBlock';
import { Waiting } from '@/ui/Loading';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { Notice } from '@/ui/Notice';
import { type Back, Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { offerBack } from '@/ui/takeBack';
import { AddLayer } from './AddLayer';
import { layersWords } from './describe';
import { FitNotes } from './FitNotes';
import { LayerRows } from './LayerRows';
import { LayerSheet } from './LayerSheet';
import { QueueNotice } from './QueueNotice';
import { StepChain } from './StepChain';
import { UndoBar } from './UndoBar';
import { useFit } from './useFit';
import { AnotherLike } from './AnotherLike';
import { useLayup } from './useLayup';
import { usePiecesHref } from './usePiecesQuery';

const DRAWING_HEIGHT = 210;

export interface PiecePaneProps {
  id: string;
  /** The step whose run sheet stands beside it. */
  stepId?: string;
  beside?: boolean;
}

export function PiecePane({ id, stepId, beside = false }: PiecePaneProps) {
  const back: Back = { title: 'Pieces', href: usePiecesHref() };
  const piece = usePiece(id);
  const shelves = useShelves();
  if (!piece.data) return <Waiting query={piece} title="Piece" back={back} />;
  if (!shelves.data) return <Waiting query={shelves} title={piece.data.name} back={back} />;
  return <PieceView piece={piece.data} shelves={shelves.data} stepId={stepId} beside={beside} back={back} />;
}

function PieceView({ piece, shelves, stepId, beside, back }: { piece: Piece; shelves: Shelves; stepId?: string; beside: boolean; back: Back }) {
  const router = useRouter();
  const units = useUnits();
  const layup = useLayup(piece);
  const { doc } = layup;
  const [selected, setSelected] = useState<number | null>(null);
  const [open, setOpen] = useState<string | null>(stepId ?? null);
  const [adding, setAdding] = useState(false);
  const step = doc.steps.find(({ id }) => id === (stepId ?? open)) ?? doc.steps[0];
  const ware = wareOf(step?.setup.shaping);
  const layers = useMemo(() => drawnLayers(doc, shelves), [doc, shelves]);
  const names = doc.layers.map((_, index) => layerName(doc.layers, index));
  const fit = useFit(doc, shelves);
  const ghost = useGhost(doc, step, shelves);
  // An open layer leaves room for the drawing alone: it must be in sight.
  const top = useRef<View>(null);
  useEffect(() => {
    if (selected !== null) (top.current as unknown as HTMLElement | null)?.scrollIntoView({ block: 'start' });
  }, [selected]);
  const chosen = selected !== null && selected < doc.layers.length ? selected : null;
  const layer = chosen === null ? null : doc.layers[chosen];
  const sizes_m = shelves.glasses.find(({ id }) => id === layer?.glassId)?.thicknesses_m ?? [];
  const trims = layer && chosen !== null ? trimsOf(layer, layers[chosen].thickness_m, sizes_m) : null;
  return (
    <Screen
      title={layup.name}
      subtitle={`${footprintWords(doc.footprint, units.length)}${doc.dammed ? ', dammed' : ''} · ${layersWords(doc)}`}
      back={back}
      plain={beside}
      padded={false}
      actions={<UndoBar layup={layup} />}
      footer={chosen !== null && <LayerSheet layup={layup} pieceId={piece.id} index={chosen} name={names[chosen]} shelves={shelves} onSelect={setSelected} />}
    >
      <View style={{ paddingHorizontal: space.large }}>
        {/* Beside a run sheet that is said there. */}
        {!beside && <QueueNotice queue={layup.queue} mine={`${layup.name}, ${footprintWords(doc.footprint, units.length)}, ${layersWords(doc)}`} />}
        {layup.problem && <Notice tone="warn">{layup.problem.message}</Notice>}
      </View>
      <View ref={top} />
      <MeasuredWidth height={DRAWING_HEIGHT}>
        {(width) =>
          doc.layers.length === 0 ? (
            <SectionDrawing
              footprint={ware ? { shape: 'rectangle', width_m: ware.wide_m, length_m: ware.long_m } : doc.footprint}
              layers={ware ? [drawnWare(ware)] : []}
              width={width}
              height={DRAWING_HEIGHT}
            />
          ) : (
            <SectionEditor
              footprint={doc.footprint}
              layers={layers}
              names={names.map((name, i) => `${name}, ${layers[i].name}`)}
              ghost={ghost}
              marks={fit?.marks ?? []}
              selected={chosen}
              trims={trims}
              onTrim={(trim, value, what) => layup.edit(changeLayer(doc, trim.layer(value)), `${what} ${trim.layer(value).id}`)}
              width={width}
              height={DRAWING_HEIGHT}
              onAdd={() => setAdding(!adding)}
              onSelect={setSelected}
              onMove={(from, to) => {
                layup.edit(moveLayer(doc, doc.layers[from].id, to));
                if (selected === from) setSelected(Math.min(Math.max(to, 0), doc.layers.length - 1));
              }}
              onTurn={(index) => layup.edit(turnLayer(doc, doc.layers[index].id))}
              onRemove={(index) => {
                layup.edit(removeLayer(doc, doc.layers[index].id));
                setSelected(null);
              }}
            />
          )
        }
      </MeasuredWidth>
      <View style={{ paddingHorizontal: space.large, paddingVertical: space.hair }}>
        {doc.layers.length === 0 && <Action kind="plain" title="+ Layer" label="+ Layer of glass" testID="add-layer" onPress={() => setAdding(!adding)} />}
        {adding && (
          <AddLayer
            layup={layup}
            shelves={shelves}
            onAdded={() => {
              setAdding(false);
              setSelected(doc.layers.length);
            }}
          />
        )}
        <Words size="label" tone="muted">
          {`${step ? `${RECIPES[step.look].name.toLowerCase()}, ${standsAs(step, shelves)}` : 'no firing planned yet'}${doc.layers.length > 1 ? ` · ${ofFingers() ? 'hold a layer to move it' : 'drag a layer to move it'}` : ''}`}
        </Words>
      </View>
      <View style={{ paddingHorizontal: space.large, paddingVertical: space.small, gap: space.large }}>
        {doc.layers.length === 0 ? (
          <Words testID="no-glass">
            No glass lies here: what is fired is a shelf or a mould by itself. Lay a layer on it and it is a piece like any other.
          </Words>
        ) : (
          <>
            <BodyFigures doc={doc} shelves={shelves} />
            <FitNotes fit={fit} contacts={doc.layers.filter(({ glassId }, i) => i > 0 && glassId !== doc.layers[i - 1].glassId).length} />
            <View>
              <LayerRows
                doc={doc}
                layers={layers}
                names={names}
                selected={chosen}
                onSelect={setSelected}
                onMove={(id, to) => layup.edit(moveLayer(doc, id, to))}
              />
            </View>
          </>
        )}
        <StepChain layup={layup} piece={piece} shelves={shelves} open={open} onOpen={setOpen} besideStep={stepId} fits={fit?.verdict !== 'fails'} />
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
          {!beside && <AnotherLike piece={{ id: piece.id, name: layup.name, doc }} />}
          <SavePieceFile pieceId={piece.id} name={layup.name} />
          <DeletePiece piece={piece} />
          <Action
            kind="second"
            title="Outline, name"
            label="Outline, name: change them"
            testID="edit-piece"
            onPress={() => router.push(`/pieces/${piece.id}/edit`)}
          />
        </View>
      </View>
    </Screen>
  );
}

function DeletePiece({ piece }: { piece: Piece }) {
  const router = useRouter();
  const client = useQueryClient();
  const outbox = useOutbox();
  const { id, name, version } = piece;
  const remove = useSave('deletePiece');
  // Forgotten when its page has gone; while that is open it would be read anew.
  const deleted = useRef(false);
  useEffect(() => () => void (deleted.current && client.removeQueries({ queryKey: keys.piece(id) })), [client, id]);
  return (
    <Action
      kind="plain"
      title="Delete"
      label={`Delete ${name}`}
      disabled={remove.saving}
      testID="delete-piece"
      onPress={() => {
        const gone = (): void => {
          deleted.current = true;
          router.replace('/pieces');
          offerBack({
            what: `${name} is deleted; what was fired of it stays in the Notebook.`,
            bringBack: () => outbox.put('restorePiece', { id, name }),
          });
        };
        remove.save({ id, name }, { on: version, then: gone });
      }}
    />
  );
}

/** What the firing is expected to make of the body: by its schedule's work where it has one, by its aim else. */
function useGhost(doc: PieceDoc, step: Step | undefined, shelves: Shelves): Ghost | null {
  const { data: schedule } = useSchedule(step?.scheduleId);
  return useMemo(() => {
    if (!step) return null;
    const snapshot = snapshotOf(doc, step, shelves);
    if (!snapshot.ok) return null;
    const { body, limits, setup, look } = snapshot.value.firing;
    if (body.glasses.length === 0) return null;
    const needed = neededWork(body, look, limits.works_perPa, setup.shaping);
    const work = schedule?.stepId === step.id ? schedule.result.work_perPa.mean : needed.ok ? aimedWork(look, needed.value) : 0;
    return ghostOf(body, look, work, setup.shaping);
  }, [doc, step, shelves, schedule]);
}

const RIM = {
  'runs-out': (rest: string) => `Deeper than the ${rest} at which hot glass rests: given heat it runs out at the rim unless dammed.`,
  'draws-in': (rest: string) => `Thinner than the ${rest} at which hot glass rests: given heat the rim draws in and thickens.`,
  stays: (rest: string) => `Near the ${rest} at which hot glass rests: the rim hardly moves.`,
  fills: () => 'Fills its dam, given heat enough.',
  opens: (rest: string) =>
    `A film of grains, far thinner than the ${rest} at which hot glass rests: given heat it draws together into lace or islands, and its outline stays.`,
  scallops: (rest: string) => `Less than the ${rest} at which hot glass rests: it draws back from the dam and leaves a scalloped edge.`,
} as const;

function BodyFigures({ doc, shelves }: { doc: PieceDoc; shelves: Shelves }) {
  const units = useUnits();
  const body = bodyAt(doc, 0, namedGlasses(shelves));
  if (!body.ok) return <Notice tone="warn">{body.problem.message}</Notice>;
  const { depth, mass_kg, afterFiring } = bodyFigures(body.value);
  const even = depth.max_m - depth.min_m < 1e-4;
  const deep = ({ length }: Units): Figure => {
    const most = formatLength(depth.max_m, length);
    return even ? most : { figure: `${formatLength(depth.min_m, length).figure} to ${most.figure}`, unit: length };
  };
  const moves = ({ length }: Units): Figure => {
    const by = formatLength(afterFiring.rimMoves_m, length);
    return { ...by, figure: afterFiring.rimMoves_m > 0 ? `+${by.figure}` : by.figure };
  };
  const other = otherUnits(units);
  const glassy = doc.steps.find(({ look }) => !RECIPES[look].ware);
  const first = glassy && RECIPES[glassy.look];
  const elsewhere = first && (first.puddle ?? first.fills) ? first : null;
  return (
    <View style={{ gap: space.small }}>
      <View style={{ flexDirection: 'row', gap: space.large }}>
        <FigureBlock label="depth" value={deep(units)} other={deep(other)} testID="figure-depth" />
        <FigureBlock label="mass" value={formatMass(mass_kg, units.mass)} other={formatMass(mass_kg, other.mass)} testID="figure-mass" />
        {!elsewhere && <FigureBlock label="rim moves" value={moves(units)} other={moves(other)} note="if left to flow" testID="figure-rim" />}
      </View>
      <Words size="label">
        {elsewhere
          ? `A ${elsewhere.name.toLowerCase()} takes it to another form: its run sheet tells which.`
          : RIM[afterFiring.tendency](text(formatLength(afterFiring.naturalDepth_m, units.length)))}
      </Words>
    </View>
  );
}
