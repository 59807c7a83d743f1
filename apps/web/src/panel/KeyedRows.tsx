/** What is to be keyed, or stands in a controller, a line for each segment: '1. rate 200 · target 560 · hold 0'. */
import { type Controller, type PanelRow, rowWords } from '@torvin/core/controller';
import { View } from 'react-native';
import { Words } from '@/ui/Words';

export interface KeyedRowsProps {
  rows: readonly PanelRow[];
  controller: Controller;
  /** With what each figure is in. */
  units?: boolean;
  testID: string;
}

export function KeyedRows({ rows, controller, units = false, testID }: KeyedRowsProps) {
  return (
    <View role="list" testID={testID}>
      {rows.map((row, i) => (
        <View key={i} role="listitem">
          <Words>{`${i + 1}. ${rowWords(row, controller, units)}`}</Words>
        </View>
      ))}
    </View>
  );
}
