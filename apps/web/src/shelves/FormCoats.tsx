/** What keeps glass from a form: its newest coat in each place, how far it is used up, and what has been fired in it. */
import { wearOf, wearWords, wornBy } from '@torvin/core/release';
import type { FormRecord, Shelves } from '@torvin/schema';
import { format } from 'date-fns/format';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { type CoatNow, useFormNow } from '@/data/forms';
import { useUnits } from '@/data/FormUnits';
import { useOutbox } from '@/outbox/useOutbox';
import { useTheme } from '@/theme/ThemeContext';
import { planHref, recoatHref } from '@/ui/hrefs';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { FormMakings } from './FormMakings';
import { FormPieces } from './FormPieces';
import { emptyFiring } from './emptyFiring';
import { FORM_COATS } from './words';

export function FormCoats({ form, shelves }: { form: FormRecord; shelves: Shelves }) {
  const router = useRouter();
  const now = useFormNow(form.id, shelves);
  if (!now) return null;
  const { use, coats } = now;
  return (
    <View style={{ gap: space.small }} testID="form-coats">
      {coats.map((one) => (
        <CoatRow key={one.coat.id} now={one} onRecoat={() => router.push(recoatHref(form.id, one.coat))} />
      ))}
      {coats.length === 0 && <Words tone="muted">{FORM_COATS.noCoatRecorded}</Words>}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap' }}>
        <DryIt form={form} shelves={shelves} />
        <Action
          kind="plain"
          title={coats.length === 0 ? FORM_COATS.tellItsCoat : FORM_COATS.anotherPlace}
          label={coats.length === 0 ? FORM_COATS.tellItsCoat : FORM_COATS.anotherPlaceCoated}
          testID="tell-coat"
          onPress={() => router.push(recoatHref(form.id))}
        />
      </View>
      {form.use !== 'shelf' && <FormMakings form={form} shelves={shelves} />}
      <FormPieces form={form} use={use} shelves={shelves} />
    </View>
  );
}

/** The firing that dries a fresh coat, as a piece with no glass in it: its schedule is computed there. */
function DryIt({ form, shelves }: { form: FormRecord; shelves: Shelves }) {
  const router = useRouter();
  const outbox = useOutbox();
  const dries = form.use === 'shelf' ? emptyFiring(form, shelves, 'dryShelf', 'damp', 'shelf') : emptyFiring(form, shelves, 'dryMould', 'damp');
  if (!dries) return null;
  const plan = (): void => {
    const id = uuid();
    outbox.put('createPiece', { id, name: FORM_COATS.dryingOf(form.name).slice(0, 80), doc: dries.doc });
    router.navigate(planHref(id, { step: dries.firing }));
  };
  return <Action kind="plain" title={FORM_COATS.planItsDrying} label={FORM_COATS.planDryingFiring} testID="plan-drying" onPress={plan} />;
}

/** Longer lives are told in words alone. */
const BOXES_AT_MOST = 16;

function CoatRow({ now: { coat, release, since }, onRecoat }: { now: CoatNow; onRecoat(): void }) {
  const units = useUnits();
  const wear = wearOf(release, since, coat.scratched);
  const life = since.hot === 0 && since.cool > 0 ? (release.coolFirings ?? release.firings) : release.firings;
  const words = wearWords(release, since, coat.scratched, units);
  const coats = coat.coats === 1 ? FORM_COATS.oneCoat : FORM_COATS.coats(coat.coats, coat.crossed);
  return (
    <View style={{ gap: space.hair }} testID="form-coat">
      <View style={{ flexDirection: 'row', gap: space.small }}>
        <Words bold style={{ flex: 1 }}>
          {[`${release.name}, ${coats}`, coat.zone].filter(Boolean).join(', on ')}
        </Words>
        <Words size="label" tone="muted">
          {format(coat.coatedAt, 'd MMM yyyy')}
        </Words>
      </View>
      {life <= BOXES_AT_MOST && <Boxes had={Math.round(wornBy(release, since) * life)} of={life} />}
      {wear === 'recoat' ? <Notice tone="warn">{words}</Notice> : <Words size="label">{words}</Words>}
      <View style={{ alignItems: 'flex-start' }}>
        <Action
          kind={wear === 'good' ? 'plain' : 'second'}
          title={FORM_COATS.recoated}
          label={`Recoated${coat.zone === '' ? '' : `, ${coat.zone}`}`}
          testID="recoated"
          onPress={onRecoat}
        />
      </View>
    </View>
  );
}

/** A box for each firing of a coat's life, those filled that it has had; beside it all is said in words. */
function Boxes({ had, of }: { had: number; of: number }) {
  const { colours } = useTheme();
  return (
    <View style={{ flexDirection: 'row', gap: 4 }} aria-hidden>
      {Array.from({ length: of }, (_, i) => (
        <View
          key={i}
          style={{
            ...{ flex: 1, maxWidth: 28, height: 22, borderWidth: 1, borderColor: i < had ? colours.ink : colours.muted },
            ...(i < had ? { backgroundColor: colours.ink } : { borderStyle: 'dashed' as const }),
          }}
        />
      ))}
    </View>
  );
}
