import { usePrefetchInfiniteQuery } from '@tanstack/react-query';
import { Slot, useGlobalSearchParams, usePathname } from 'expo-router';
import { piecesReading } from '@/data/pieces';
import { WithPane } from '@/ui/WithPane';
import { isWide, useLayout } from '@/ui/useWidth';
import { BesideRun, PiecesBeside } from '@/workbench';

const LIST_WIDTH = 340;
const PIECE_WIDTH = 420;

/** Wide: the list beside the piece; from 1200 px the lay-up beside its run sheet. It stands at once: a page within it has its address from it. */
export default function PiecesLayout() {
  const layout = useLayout();
  // The way back from a piece leads to the list, also where the server has gone meanwhile.
  usePrefetchInfiniteQuery(piecesReading({}));
  const { id, step } = useGlobalSearchParams<{ id?: string; step?: string }>();
  const path = usePathname();
  const besideRun = layout === 'beside' && id !== undefined && /\/(run|key-in|fire)$/.test(path);
  const beside = besideRun ? <BesideRun id={id} step={step} /> : <PiecesBeside id={path === '/pieces' ? undefined : id} />;
  return (
    <WithPane pane={isWide(layout) ? beside : null} width={besideRun ? PIECE_WIDTH : LIST_WIDTH}>
      <Slot />
    </WithPane>
  );
}
