/** Says live results to a screen reader, at most once a second, and shows nothing. */
import { useEffect, useRef, useState } from 'react';
import { Words } from './Words';

const BETWEEN_MS = 1000;

export function Spoken({ text }: { text: string }) {
  const [said, setSaid] = useState(text);
  const last = useRef(0);
  useEffect(() => {
    const wait = Math.max(0, last.current + BETWEEN_MS - Date.now());
    const timer = setTimeout(() => {
      last.current = Date.now();
      setSaid(text);
    }, wait);
    return () => clearTimeout(timer);
  }, [text]);
  return (
    <Words aria-live="polite" style={{ position: 'absolute', width: 1, height: 1, overflow: 'hidden', opacity: 0 }}>
      {said}
    </Words>
  );
}
