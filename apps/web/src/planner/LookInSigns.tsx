/** What the eye should see when the kiln is looked into: too early, right, too late. */
import { type Look, RECIPES } from '@torvin/core/look';
import { View } from 'react-native';
import { space } from '@/theme/theme';
import { Words } from '@/ui/Words';
import { LOOK_IN_SIGNS } from './words';

const SIGNS = [
  ['right', LOOK_IN_SIGNS.doneWhen],
  ['early', LOOK_IN_SIGNS.notYetWhile],
  ['late', LOOK_IN_SIGNS.tooFarOnce],
] as const;

export function LookInSigns({ look }: { look: Look }) {
  return (
    <View style={{ gap: space.hair }} testID="look-in-signs">
      {SIGNS.map(([when, words]) => (
        <Words key={when} size="label">
          <Words size="label" bold>{`${words}: `}</Words>
          {`${RECIPES[look].looksLike[when]}.`}
        </Words>
      ))}
    </View>
  );
}
