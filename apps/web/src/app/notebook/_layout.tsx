import { Slot, useGlobalSearchParams } from 'expo-router';
import { View } from 'react-native';
import { NotebookPane } from '@/notebook/NotebookPane';
import { useTheme } from '@/theme/ThemeContext';
import { isWide, useLayout } from '@/ui/useWidth';

const LIST_WIDTH = 400;

export default function NotebookLayout() {
  const wide = isWide(useLayout());
  const { colours } = useTheme();
  const { id } = useGlobalSearchParams<{ id?: string }>();
  if (!wide) return <Slot />;
  return (
    <View style={{ flex: 1, flexDirection: 'row' }}>
      <View style={{ width: LIST_WIDTH, borderRightWidth: 1, borderColor: colours.line }}>
        <NotebookPane currentId={id} beside />
      </View>
      <View style={{ flex: 1 }}>
        <Slot />
      </View>
    </View>
  );
}
