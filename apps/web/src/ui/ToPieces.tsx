/** The first act where a place is still empty: everything begins with a piece. */
import { useRouter } from 'expo-router';
import { Action } from './Action';
import { WORDS } from './said';

export function ToNotebook() {
  const router = useRouter();
  return <Action kind="second" title={WORDS.notebook} testID="to-notebook" onPress={() => router.push('/notebook')} />;
}

export function ToPieces() {
  const router = useRouter();
  return <Action kind="second" title={WORDS.toPieces} testID="to-pieces" onPress={() => router.push('/pieces')} />;
}
