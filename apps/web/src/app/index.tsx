import { Redirect } from 'expo-router';
import { useStudioRead } from '@/data/studio';
import { FIRST_PLACE } from '@/ui/places';

/** A studio that nothing was said of yet begins with its questions. */
export default function Start() {
  const studio = useStudioRead();
  if (!studio) return null;
  const { answered, done } = studio.firstDay ?? { answered: [], done: true };
  // Begun and left, it is taken up again from the Bench.
  return <Redirect href={!done && answered.length === 0 ? '/start' : FIRST_PLACE} />;
}
