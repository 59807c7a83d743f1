/** A value that changes many times a second, as often as a screen reader can follow: at most once a second, the last always. */
import { useEffect, useRef, useState } from 'react';

const BETWEEN_MS = 1000;

export function useCalm<T>(value: T): T {
  const [calm, setCalm] = useState(value);
  const last = useRef(0);
  useEffect(() => {
    const wait = Math.max(0, last.current + BETWEEN_MS - Date.now());
    const timer = setTimeout(() => {
      last.current = Date.now();
      setCalm(() => value);
    }, wait);
    return () => clearTimeout(timer);
  }, [value]);
  return calm;
}
