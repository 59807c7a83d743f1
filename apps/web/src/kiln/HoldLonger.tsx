/** A hold made longer while it runs: by how much, in steps of the controller. */
import { type Run, heldLonger } from '@torvin/core/controller';
import { formatDuration, parseDuration, text } from '@torvin/core/units';
import { useState } from 'react';
import { View } from 'react-native';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Stepper } from '@/ui/Stepper';
import { stepFrom } from '@/ui/stepFrom';
import { HOLD_LONGER } from './words';

interface HoldLongerProps {
  /** The least by which the controller lengthens, s. */
  step_s: number;
  onLonger(change: (run: Run) => Run): void;
}

/** What is usually added between two looks, s. */
const USUAL_S = 300;

export function HoldLonger({ step_s, onLonger }: HoldLongerProps) {
  const [by_s, setBy] = useState(() => step_s * Math.ceil(USUAL_S / step_s));
  return (
    <View role="group" aria-label={HOLD_LONGER.aLongerHold} style={{ gap: space.hair }}>
      <Stepper
        label={HOLD_LONGER.by}
        shown={formatDuration(by_s)}
        read={(typed) => parseDuration(typed, 'by')}
        value={by_s}
        stepped={(direction) => Math.max(step_s, step_s * stepFrom(by_s / step_s, direction, 1))}
        onValue={setBy}
        testID="longer-by"
      />
      <View style={{ flexDirection: 'row' }}>
        <Action
          kind="second"
          title={HOLD_LONGER.holdLonger(text(formatDuration(by_s)))}
          testID="run-longer"
          onPress={() => onLonger((run) => heldLonger(run, by_s))}
        />
      </View>
    </View>
  );
}
