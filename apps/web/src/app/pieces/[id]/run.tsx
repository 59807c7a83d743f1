import { Redirect, useLocalSearchParams } from 'expo-router';
import { usePiece, useSchedule, useShelves } from '@/data/pieces';
import { RunSheetScreen } from '@/runsheet/RunSheetScreen';
import { Waiting } from '@/ui/Loading';

export default function RunPage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const piece = usePiece(id);
  const shelves = useShelves();
  const scheduleId = piece.data?.doc.steps[0]?.scheduleId;
  const schedule = useSchedule(scheduleId);
  const back = { title: piece.data?.name ?? 'Piece', href: `/pieces/${id}` };
  if (piece.data && !scheduleId && !piece.isPlaceholderData) return <Redirect href={`/pieces/${id}`} />;
  if (!piece.data) return <Waiting query={piece} title="Run sheet" back={back} />;
  if (!shelves.data) return <Waiting query={shelves} title="Run sheet" back={back} />;
  if (!schedule.data) return <Waiting query={schedule} title="Run sheet" back={back} />;
  return <RunSheetScreen key={id} piece={piece.data} schedule={schedule.data} shelves={shelves.data} />;
}
