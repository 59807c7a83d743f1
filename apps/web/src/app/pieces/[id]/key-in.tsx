import { Redirect, useLocalSearchParams } from 'expo-router';
import { usePiece, useSchedule } from '@/data/pieces';
import { KeyInScreen } from '@/keyin/KeyInScreen';
import { Waiting } from '@/ui/Loading';

export default function KeyInPage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const piece = usePiece(id);
  const scheduleId = piece.data?.doc.steps[0]?.scheduleId;
  const schedule = useSchedule(scheduleId);
  const back = { title: 'Full fuse', href: `/pieces/${id}/run` };
  if (piece.data && !scheduleId && !piece.isPlaceholderData) return <Redirect href={`/pieces/${id}`} />;
  if (!piece.data) return <Waiting query={piece} title="Key in" back={back} />;
  if (!schedule.data) return <Waiting query={schedule} title="Key in" back={back} />;
  return <KeyInScreen piece={piece.data} schedule={schedule.data} />;
}
