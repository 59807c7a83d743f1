import { Slot, useGlobalSearchParams, usePathname } from 'expo-router';
import { View } from 'react-native';
import { useLatestPiece } from '@/data/pieces';
import { PiecesPane } from '@/piece/PiecesPane';
import { useTheme } from '@/theme/ThemeContext';
import { isWide, useLayout } from '@/ui/useWidth';
import { BesideRun } from '@/workbench';

const LIST_WIDTH = 340;
const PIECE_WIDTH = 420;

/** Wide: the list beside the piece; from 1200 px the lay-up beside its run sheet. */
export default function PiecesLayout() {
  const layout = useLayout();
  const { colours } = useTheme();
  const { id, step } = useGlobalSearchParams<{ id?: string; step?: string }>();
  const path = usePathname();
  const latest = useLatestPiece();
  const besideRun = layout === 'beside' && id !== undefined && /\/(run|key-in)$/.test(path);
  if (!isWide(layout)) return <Slot />;
  return (
    <View style={{ flex: 1, flexDirection: 'row' }}>
      <View style={{ width: besideRun ? PIECE_WIDTH : LIST_WIDTH, borderRightWidth: 1, borderColor: colours.line }}>
        {besideRun ? <BesideRun id={id} step={step} /> : <PiecesPane currentId={path === '/pieces' ? latest : id} beside />}
      </View>
      <View style={{ flex: 1 }}>
        <Slot />
      </View>
    </View>
  );
}
