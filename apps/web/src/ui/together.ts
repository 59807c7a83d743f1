/** Keeps a figure and its unit on one line: what stands between them is no place to break. */
import { Children, type ReactNode } from 'react';

const BEFORE_UNIT = /([\d½¼¾⅛⅜⅝⅞]) (?=(?:mm|cm|m|in|ft|g|kg|oz|lb|ml|l|fl|min|h|d|s|K|W|kW|kWh|°|%|Pa|MPa|psi)(?![a-z])|\d+\/\d+)/g;
const HELD = '\u00a0';
const BETWEEN_PARTS = /(\d\u00a0(?:lb|h|d)) (?=\d)/g;

export const together = (words: string): string => words.replace(BEFORE_UNIT, `$1${HELD}`).replace(BETWEEN_PARTS, (_, unit: string) => `${unit}${HELD}`);

export const heldTogether = (children: ReactNode): ReactNode =>
  typeof children === 'string' ? together(children) : Array.isArray(children) ? Children.map(children, heldTogether) : children;
