/** Says live results to a screen reader, at most once a second, and shows nothing. */
import { Words } from './Words';
import { useCalm } from './useCalm';

export function Spoken({ text }: { text: string }) {
  return (
    <Words aria-live="polite" style={{ position: 'absolute', width: 1, height: 1, overflow: 'hidden', opacity: 0 }}>
      {useCalm(text)}
    </Words>
  );
}
