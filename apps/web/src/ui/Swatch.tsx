/** A glass's colour, outlined so that pale glass stays visible. */
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';

export function Swatch({ colour }: { colour?: string }) {
  const { colours } = useTheme();
  return <View style={{ width: 26, height: 16, backgroundColor: colour ?? 'transparent', borderWidth: 1, borderColor: colours.ink }} />;
}
