/** A program with one slip in it is looked through, and the slip named. */
import { type FigureKind, type Panel, keyIn, newPanel, readBack } from '@torvin/core/controller';
import { hideSlip } from '@torvin/core/practice';
import { slipSentence } from '@torvin/core/schedule';
import { useState } from 'react';
import { View } from 'react-native';
import { slotsOf } from '@/keyin/slots';
import { KeyedRows } from '@/panel/KeyedRows';
import { PanelView } from '@/panel/PanelView';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Chips } from '@/ui/Chips';
import { Choice } from '@/ui/Choice';
import { Words } from '@/ui/Words';
import { type Practised, Verdict, able, insteadWords } from './shared';
import { FIND_TASK } from '../words';

const FIGURES: readonly { value: FigureKind; title: string }[] = [
  { value: 'rate', title: 'rate' },
  { value: 'target', title: 'target' },
  { value: 'hold', title: 'hold' },
];

export function FindTask({ controller: asked, segments, turn, onDone }: Practised) {
  const controller = able(asked, ({ reviews }) => reviews);
  const { rows } = keyIn(segments, controller);
  const { first } = slotsOf(controller);
  const [hidden] = useState(() => hideSlip(rows, turn));
  const [panel, setPanel] = useState<Panel>(() => newPanel(controller, { [first]: hidden.program }));
  const [row, setRow] = useState<string | null>(null);
  const [figure, setFigure] = useState<FigureKind | null>(null);
  const [passed, setPassed] = useState<boolean | null>(null);
  const [slip] = readBack(rows, hidden.program, controller);
  return (
    <View style={{ gap: space.medium }}>
      <Words>{FIND_TASK.keyedOneFigure(first, insteadWords(asked, controller, FIND_TASK.cannotShow))}</Words>
      <KeyedRows rows={rows} controller={controller} testID="wanted-rows" />
      <PanelView panel={panel} onPressed={setPanel} />
      <Chips
        label={FIND_TASK.segment}
        value={row}
        options={rows.map((_, i) => ({ value: String(i), title: FIND_TASK.segmentOf(i + 1) }))}
        onChange={setRow}
        testID="slip-row"
      />
      <Choice<FigureKind> label={FIND_TASK.whichFigure} value={figure} options={FIGURES} onChange={setFigure} testID="slip-figure" />
      {passed === null ? (
        <Action
          title={FIND_TASK.thatIsThe}
          disabled={row === null || figure === null}
          testID="say-slip"
          onPress={() => {
            const right = Number(row) === hidden.row && figure === hidden.figure;
            setPassed(right);
            onDone(right);
          }}
        />
      ) : (
        <Verdict passed={passed}>{slipSentence(slip, rows, hidden.program, controller)}</Verdict>
      )}
    </View>
  );
}
