/** A controller with the profile that stands in the form, to be tried before it is kept: it begins anew with every change of that. */
import { type Controller, type Panel, newPanel } from '@torvin/core/controller';
import { useState } from 'react';
import { View } from 'react-native';
import { space } from '@/theme/theme';
import { Words } from '@/ui/Words';
import { PanelView } from './PanelView';
import { PANEL_TRIAL } from './words';

export function PanelTrial({ controller }: { controller: Controller }) {
  const [panel, setPanel] = useState<Panel>(() => newPanel(controller));
  const kept = Object.entries(panel.programs).filter(([, rows]) => rows.length > 0);
  return (
    <View style={{ gap: space.small }}>
      <PanelView panel={panel} onPressed={setPanel} />
      <Words size="label" tone="muted" testID="panel-keeps">
        {kept.length === 0 ? PANEL_TRIAL.noProgramStands : kept.map(([slot, rows]) => PANEL_TRIAL.programHolds(slot, rows.length)).join(' ')}
      </Words>
    </View>
  );
}
