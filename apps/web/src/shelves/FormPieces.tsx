/** What was fired in or on a form, side by side: each with its picture, how it came out and how it came off; and what has not been tried in it. */
import { leftWords, weighedWords } from '@torvin/core/form';
import { LOOK_NAMES } from '@torvin/core/look';
import { tallyWords } from '@torvin/core/release';
import type { FiringRow, FormRecord, FormUse, Shelves } from '@torvin/schema';
import { format } from 'date-fns/format';
import { Link, useRouter } from 'expo-router';
import { ScrollView, View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useFirings } from '@/data/firings';
import { useUnits } from '@/data/FormUnits';
import { useOutbox } from '@/outbox/useOutbox';
import { Thumbnail } from '@/photos/Thumbnail';
import { useTheme } from '@/theme/ThemeContext';
import { planHref } from '@/ui/hrefs';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { LinkRow } from '@/ui/LinkRow';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { releasedWords, ResultSign, resultWords, seenWords } from '@/ui/results';
import { clearTrial } from './clearTrial';
import { FORM_PIECES } from './words';

const TILE_PX = 132;

export function FormPieces({ form, use, shelves }: { form: FormRecord; use: FormUse; shelves: Shelves }) {
  const firings = useFirings({ form: form.id });
  const rows = use.fired === 0 ? [] : (firings.data?.pages[0]?.firings ?? []);
  const units = useUnits();
  const told = tallyWords(use.released);
  const weighed = weighedWords(form, units);
  return (
    <View style={{ gap: space.small }}>
      {told !== '' && (
        <Words bold testID="form-released">
          {told}
        </Words>
      )}
      {rows.length > 0 && (
        <View style={{ marginHorizontal: -space.large }}>
          <ScrollView horizontal contentContainerStyle={{ gap: space.small, paddingHorizontal: space.large }} testID="form-pieces">
            {rows.map((row) => (
              <Tile key={row.id} row={row} />
            ))}
          </ScrollView>
        </View>
      )}
      <View role="list">
        <LinkRow href={`/notebook?form=${form.id}`} inset={0} testID="form-firings">
          <Words tone="touch" style={{ flex: 1 }}>
            {`${use.fired === 0 ? FORM_PIECES.nothingBeenFired : use.fired === 1 ? FORM_PIECES.oneFiring : FORM_PIECES.firingsWithIt(use.fired)}${form.lasts === undefined ? '' : FORM_PIECES.ofThatIt(form.lasts)}`}
          </Words>
          {use.lastAt !== null && <Words tone="muted">{FORM_PIECES.theLast(format(use.lastAt, 'd MMM'))}</Words>}
        </LinkRow>
      </View>
      {form.lasts !== undefined && use.fired >= form.lasts && (
        <Notice tone="warn" testID="form-worn">
          {FORM_PIECES.hadFiringsLasts(use.fired, form.lasts)}
        </Notice>
      )}
      {form.once && (
        <Words bold={use.fired >= form.count} tone={use.fired >= form.count ? 'warn' : 'ink'} testID="form-left">
          {leftWords(form, use.fired)}
        </Words>
      )}
      {weighed !== null && <Words testID="form-weighed">{weighed}</Words>}
      <TryClear form={form} shelves={shelves} untried={use.fired === 0} />
    </View>
  );
}

function Tile({ row }: { row: FiringRow }) {
  const { colours } = useTheme();
  const { id, pieceName, look, firedAt, result, released, seen, photos } = row;
  const flaws = seenWords({ seen, released: null });
  return (
    <Link href={`/notebook/${id}`} style={{ display: 'flex', textDecorationLine: 'none' }} testID="form-piece">
      <View style={{ width: TILE_PX, backgroundColor: colours.surface, padding: space.small, gap: space.hair }}>
        {photos.length > 0 && <Thumbnail hash={photos[0]} px={TILE_PX - 2 * space.small} alt={FORM_PIECES.pictureOf(pieceName)} />}
        <Words bold tone="touch" numberOfLines={2}>
          {pieceName}
        </Words>
        <Words size="label" tone="muted">
          {`${LOOK_NAMES[look]}, ${format(firedAt, 'd MMM')}`}
        </Words>
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.hair }}>
          <ResultSign result={result} />
          <Words size="label">{resultWords(result)}</Words>
        </View>
        {flaws !== '' && <Words size="label">{flaws}</Words>}
        {released !== null && <Words size="label">{releasedWords(released)}</Words>}
      </View>
    </Link>
  );
}

/** A blank of clear glass costs less than what it finds out. */
function TryClear({ form, shelves, untried }: { form: FormRecord; shelves: Shelves; untried: boolean }) {
  const router = useRouter();
  const outbox = useOutbox();
  const units = useUnits();
  const trial = clearTrial(form, shelves, units.length);
  if (!trial) return null;
  const begin = (): void => {
    const id = uuid();
    outbox.put('createPiece', { id, name: trial.name, doc: trial.doc });
    router.navigate(planHref(id, { step: trial.firing }));
  };
  return (
    <View style={{ alignItems: 'flex-start' }}>
      {untried && <Words size="label">{FORM_PIECES.noReleaseRecorded(trial.of)}</Words>}
      <Action kind={untried ? 'second' : 'plain'} title={FORM_PIECES.tryClearBlank} label={FORM_PIECES.tryIt(trial.size)} testID="try-clear" onPress={begin} />
    </View>
  );
}
