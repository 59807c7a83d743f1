import { Words } from '@/ui/Words';
import { PiecesPane } from '@/piece/PiecesPane';
import { Screen } from '@/ui/Screen';
import { isWide, useLayout } from '@/ui/useWidth';

export default function PiecesPage() {
  if (!isWide(useLayout())) return <PiecesPane />;
  return (
    <Screen title="Pieces">
      <Words tone="muted">Choose a piece at the left, or make a new one.</Words>
    </Screen>
  );
}
