import type { Firing } from '@torvin/schema';
import { useLocalSearchParams } from 'expo-router';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useBench } from '@/data/bench';
import { firingReading, useFiring } from '@/data/firings';
import { isCoolBy } from '@/data/isCoolBy';
import { usePiece } from '@/data/pieces';
import { type Opened, OpenedScreen, OpeningScreen } from '@/kiln/OpeningScreen';
import { Waiting } from '@/ui/Loading';
import { WORDS } from '@/ui/said';
import { OPENING_PAGE } from './words';

const BACK = { title: WORDS.kiln, href: '/kiln' } as const;

/** The pieces of a load, as they were in the kiln when the page was opened: each leaves it as it is recorded. */
export function OpeningPage() {
  const { load } = useLocalSearchParams<{ load: string }>();
  const bench = useBench();
  if (!bench.data) return <Waiting query={bench} title={OPENING_PAGE.title} back={BACK} />;
  return <Pieces key={load} firings={bench.data.inKiln.filter((one) => one.load.id === load)} />;
}

function Pieces({ firings }: { firings: readonly Firing[] }) {
  const [all] = useState(() => firings.filter((one) => isCoolBy(one, Date.now())));
  const [opened, setOpened] = useState<Opened[]>([]);
  const client = useQueryClient();
  // All of them while there is a network: the kiln may be out of its reach a moment later.
  useEffect(() => {
    for (const { id } of all) void client.prefetchQuery(firingReading(id));
  }, [all, client]);
  const next = all.at(opened.length);
  if (!next) return <OpenedScreen opened={opened} />;
  const { id, pieceName } = next;
  return <OnePiece key={id} firing={next} nth={opened.length + 1} of={all.length} onNext={(result) => setOpened([...opened, { id, pieceName, result }])} />;
}

interface OnePieceProps {
  firing: Firing;
  nth: number;
  of: number;
  onNext(result: Opened['result']): void;
}

function OnePiece({ firing, ...rest }: OnePieceProps) {
  const detail = useFiring(firing.id);
  // Read ahead: how far its shape came down is told of it too.
  usePiece(firing.pieceId);
  if (!detail.data) return <Waiting query={detail} title={OPENING_PAGE.title} back={BACK} />;
  return <OpeningScreen detail={detail.data} {...rest} />;
}
