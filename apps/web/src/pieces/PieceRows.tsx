/** The rows of a piece that say their verdict closed: fit and layers while it is laid, then its history and made glass. */
import { type BodyNow, type DrawnLayer, type LayStep, type PlannedStep, glassIdsIn, moveLayer, tellDone } from '@torvin/core/piece';
import type { Piece, Shelves } from '@torvin/schema';
import { useState } from 'react';
import { useMadeStock } from '@/data/made';
import { useUnits } from '@/data/FormUnits';
import { BodyHistory, Touching, historyVerdict } from '@/journey/BodyFigures';
import { KeepMade } from '@/journey/KeepMade';
import type { Journey } from '@/journey/useJourney';
import { FitNotes } from '@/layup/FitNotes';
import { LayerRows } from '@/layup/LayerRows';
import { MadeNotes } from '@/layup/MadeNotes';
import { layersWords } from '@/layup/describe';
import type { FitNews } from '@/layup/useFit';
import type { Layup } from '@/layup/useLayup';
import { isShort } from '@/shelves/leftWords';
import { Fold } from '@/ui/Fold';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';
import { capital } from '@/ui/capital';
import { ofFingers } from '@/ui/ofFingers';
import { turnsBefore } from './pieceFiring';
import { PIECE_ROWS } from './words';

export interface LayRowsProps {
  layup: Layup;
  shelves: Shelves;
  fit: FitNews | null;
  body: BodyNow;
  layers: readonly DrawnLayer[];
  names: readonly string[];
  /** Which of the body's layers the step lays. */
  own: { from: number; to: number };
  selected: number | null;
  onSelect(index: number): void;
  /** The step that lays the first of it, where that is looked at. */
  first: LayStep | null;
}

export function LayRows({ layup, shelves, fit, body, layers, names, own, selected, onSelect, first }: LayRowsProps) {
  const { doc } = layup;
  return (
    <>
      <Fold title={fit?.title ?? PIECE_ROWS.fit} about={fit?.about ?? PIECE_ROWS.judgingTheFit} testID="fits" opened={fit?.warns} warns={fit?.warns}>
        {() => (
          <>
            <FitNotes fit={fit} />
            <Touching body={body} shelves={shelves} />
          </>
        )}
      </Fold>
      <Fold title={capital(layersWords(body.layers.length))} about={[...names].reverse().join(' · ')} testID="layers">
        {() => (
          <>
            <LayerRows
              laid={body.layers}
              own={own}
              layers={layers}
              names={names}
              selected={selected}
              onSelect={onSelect}
              onMove={(id, to) => layup.edit(moveLayer(doc, id, to))}
            />
            {own.to - own.from > 1 && (
              <Words size="label" tone="muted">
                {ofFingers() ? PIECE_ROWS.drawingHoldLayer : PIECE_ROWS.drawingDragLayer}
              </Words>
            )}
            {first && (
              <Tick
                on={first.doneAt !== undefined}
                title={PIECE_ROWS.laidUp}
                testID="laid-up"
                onPress={() => layup.edit(tellDone(doc, first.id, first.doneAt === undefined ? Date.now() : null))}
              />
            )}
          </>
        )}
      </Fold>
    </>
  );
}

export interface HistoryRowsProps {
  layup: Layup;
  piece: Piece;
  shelves: Shelves;
  journey: Journey;
  firing: PlannedStep | undefined;
  /** Stands beside its run sheet: nothing is kept from there. */
  beside: boolean;
}

export function HistoryRows({ layup, piece, shelves, journey, firing, beside }: HistoryRowsProps) {
  const units = useUnits();
  const { doc } = layup;
  const { shown: body, step } = journey;
  const turns = turnsBefore(doc, piece.turns, journey);
  const takes = shelves.made.filter(({ id }) => glassIdsIn(doc).includes(id));
  const stock = useMadeStock(takes.length > 0);
  const isShortOf = stock !== null && takes.some((one) => isShort(stock(one).left_kg, one));
  const kept = shelves.made.filter(({ from }) => from?.pieceId === piece.id);
  // What is kept while the page is open is in sight at once.
  const [keptBefore] = useState(kept.length);
  const hasMade = takes.length + kept.length > 0;
  const keep = !beside && step && (
    <KeepMade
      key={`kept after ${step.id}`}
      piece={{ id: piece.id, name: layup.name }}
      after={journey.steps.slice(0, journey.at + 1)}
      turns={turnsBefore(doc, piece.turns, journey, true)}
      shelves={shelves}
    />
  );
  return (
    <>
      <Fold title={PIECE_ROWS.history} about={historyVerdict({ body, turns, shelves }, units)} testID="history">
        {() => (
          <>
            {!journey.laying && <Touching body={body} shelves={shelves} />}
            <BodyHistory body={body} after={journey.steps.slice(0, journey.madeBy)} next={firing} turns={turns} shelves={shelves} />
            {!hasMade && keep}
          </>
        )}
      </Fold>
      {hasMade && (
        <Fold
          title={PIECE_ROWS.madeGlass}
          about={[...takes, ...kept].map(({ name }) => name).join(' · ')}
          testID="made"
          opened={isShortOf || kept.length > keptBefore}
          warns={isShortOf}
        >
          {() => (
            <>
              <MadeNotes doc={doc} shelves={shelves} />
              {keep}
            </>
          )}
        </Fold>
      )}
    </>
  );
}
