/** The label of a piece, a mould, a jar of glass or an offcut: what each of them says of itself. */
import { footprintWords } from '@torvin/core/body';
import { applySteps, glassName, laidLayers, massNow, namedGlasses } from '@torvin/core/piece';
import { type Units, formatMass, text } from '@torvin/core/units';
import { type KindName, KINDS, type Piece, type Shelves, asks, isKind, kindOf, titleOf } from '@torvin/schema';
import { useQuery } from '@tanstack/react-query';
import { useLocalSearchParams } from 'expo-router';
import { useUnits } from '@/data/FormUnits';
import { usePiece, useShelves } from '@/data/pieces';
import { LabelScreen } from '@/files/LabelScreen';
import type { LabelTold } from '@/files/labels';
import { call } from '@/outside/client';
import { keys } from '@/outside/keys';
import { aboutShelves } from '@/shelves/words';
import { Waiting } from '@/ui/Loading';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { LABEL_PAGE } from './words';
import { WORDS } from '@/ui/said';

/** So many glasses are named on it. */
const GLASSES_NAMED = 3;

function ofPiece({ id, name, doc }: Piece, shelves: Shelves, units: Units, at: string): LabelTold {
  const names = [...new Set(laidLayers(doc).map(({ glassId }) => glassName(shelves, glassId)))];
  const glasses = namedGlasses(shelves);
  const now = applySteps(doc, glasses).at(-1)?.body;
  const mass = now ? text(formatMass(massNow(now, glasses), units.mass)) : '';
  const more = names.length - GLASSES_NAMED;
  return {
    name,
    lines: [
      `${names.slice(0, GLASSES_NAMED).join(', ')}${more > 0 ? LABEL_PAGE.andMore(more) : ''}`,
      footprintWords(now?.footprint ?? doc.footprint, units.length),
      mass,
    ],
    url: `${at}/pieces/${id}`,
  };
}

function ofRecord(kind: KindName, id: string, shelves: Shelves, units: Units, at: string): LabelTold | null {
  const record = shelves[kind].find((one) => one.id === id);
  if (!record) return null;
  const about = aboutShelves(shelves, units);
  return { name: titleOf(kind, record, about), lines: kindOf(kind).about(record, about).split(' · '), url: `${at}/shelves/${kind}/${id}` };
}

export function LabelPage() {
  const { kind, id } = useLocalSearchParams<{ kind: string; id: string }>();
  const units = useUnits();
  const shelves = useShelves();
  const access = useQuery({ queryKey: keys.access, queryFn: ({ signal }) => call(asks.access, { signal }) });
  // What a camera reads has to be an address that its phone can open.
  const at = access.data?.addresses[0]?.url ?? window.location.origin;
  const back =
    kind === 'pieces' ? ({ title: WORDS.piece, href: `/pieces/${id}` } as const) : ({ title: WORDS.shelves, href: `/shelves/${kind}/${id}` } as const);
  if (!shelves.data) return <Waiting query={shelves} title={WORDS.label} back={back} />;
  if (kind === 'pieces') return <OfPiece id={id} shelves={shelves.data} units={units} at={at} />;
  const label = isKind(kind) ? ofRecord(kind, id, shelves.data, units, at) : null;
  return label ? (
    <LabelScreen label={label} back={back} />
  ) : (
    <Screen title={WORDS.label} back={{ title: WORDS.shelves, href: '/shelves' }}>
      <Words>{LABEL_PAGE.noSuchAny(isKind(kind) ? KINDS[kind].one : 'record')}</Words>
    </Screen>
  );
}

function OfPiece({ id, shelves, units, at }: { id: string; shelves: Shelves; units: Units; at: string }) {
  const piece = usePiece(id);
  const back = { title: piece.data?.name ?? WORDS.piece, href: `/pieces/${id}` } as const;
  return piece.data ? <LabelScreen label={ofPiece(piece.data, shelves, units, at)} back={back} /> : <Waiting query={piece} title={WORDS.label} back={back} />;
}
