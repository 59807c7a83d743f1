/** How a form is being made: what is next of it, and from when on; or that it is made here at all. */
import type { FormMaterialName } from '@torvin/core/form';
import { MAKING_NAMES, type MakingWay, stageTitle } from '@torvin/core/making';
import type { FormRecord, Shelves } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Action } from '@/ui/Action';
import { LinkRow } from '@/ui/LinkRow';
import { Words } from '@/ui/Words';
import { useNow } from '@/ui/useNow';
import { useStanding } from './useStanding';
import { FORM_MAKINGS } from './words';
import { fromWhen } from '@/ui/clock';

const WAYS: Partial<Record<FormMaterialName, MakingWay>> = {
  ...{ plasterSilica: 'investment', earthenware: 'clay', stoneware: 'clay', fusedSilica: 'castable', alumina: 'castable' },
  ...{ stainless: 'metal', mildSteel: 'metal' },
};

/** How a form of such a material is usually made. */
export const wayOf = ({ material }: Pick<FormRecord, 'material'>): MakingWay => WAYS[material] ?? 'castable';

export function FormMakings({ form, shelves }: { form: FormRecord; shelves: Shelves }) {
  const router = useRouter();
  const making = shelves.makings.find(({ formId }) => formId === form.id);
  const told = useStanding(making, shelves);
  const now = useNow();
  if (!making || !told || told.standing.next === null)
    return (
      <View style={{ alignItems: 'flex-start' }}>
        <Action
          kind="plain"
          title={making ? FORM_MAKINGS.makeItAgain : FORM_MAKINGS.makeItHere}
          label={FORM_MAKINGS.stepsWhatThey(making ? FORM_MAKINGS.makeItAgain : FORM_MAKINGS.makeItHere)}
          testID="make-form"
          onPress={() => router.push(`/shelves/makings/new?on=${form.id}`)}
        />
      </View>
    );
  const { next, from } = told.standing;
  return (
    <View role="list">
      <LinkRow href={`/shelves/makings/${making.id}`} inset={0} testID="form-making">
        <View style={{ flex: 1 }}>
          <Words bold tone="touch">
            {FORM_MAKINGS.makingNext(stageTitle(next, making).toLowerCase())}
          </Words>
          <Words size="label" tone="muted">
            {[MAKING_NAMES[making.way], fromWhen(from, now)].filter(Boolean).join(', ')}
          </Words>
        </View>
      </LinkRow>
    </View>
  );
}
