/** What was seen on the glass one by one: the edges of a crack, the size of bubbles, and where, marked on the outline from above. */
import type { Footprint } from '@torvin/core/body';
import { BUBBLES, CRACKS, FLAWS, type Flaw } from '@torvin/core/look';
import { MARKS_AT_MOST, type Mark, MarkSchema } from '@torvin/schema';
import { useRef, useState } from 'react';
import { Pressable, View } from 'react-native';
import Svg, { Circle, G, Path } from 'react-native-svg';
import { outlineIn } from '@/section/outline';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Chips } from '@/ui/Chips';
import { Choice } from '@/ui/Choice';
import { Words } from '@/ui/Words';
import { capital } from '@/ui/capital';
import { elementOf } from '@/ui/elementOf';
import { MARKS } from './words';

const isCrack = (flaw: Flaw): boolean => (CRACKS as readonly Flaw[]).includes(flaw);
const isBubble = (flaw: Flaw): boolean => (BUBBLES as readonly Flaw[]).includes(flaw);

type Spot = NonNullable<Mark['at']>;

const markOf = (flaw: Flaw): Mark => MarkSchema.parse({ flaw });

/** What holds for all marks of a flaw; the first is made for it. */
function withKind(marks: readonly Mark[], flaw: Flaw, kind: Partial<Mark>): Mark[] {
  const there = marks.some((one) => one.flaw === flaw);
  return (there ? marks : [...marks, markOf(flaw)]).map((one) => (one.flaw === flaw ? { ...one, ...kind } : one));
}

/** A touch sets where it is; of a crack the second one sets where that ends. The next begins another. */
export function withSpot(marks: readonly Mark[], flaw: Flaw, spot: Spot): Mark[] {
  const last = marks.map((one) => one.flaw).lastIndexOf(flaw);
  const open = last >= 0 ? marks[last] : null;
  if (open?.at === null) return marks.with(last, { ...open, at: spot });
  if (open && isCrack(flaw) && open.to === null) return marks.with(last, { ...open, to: spot });
  const { size = null, edge = null, course = null } = open ?? {};
  return marks.length >= MARKS_AT_MOST ? [...marks] : [...marks, { flaw, at: spot, to: null, size, edge, course }];
}

/** One touch less of a flaw: what is known of it without a place stays. */
export function withoutLast(marks: readonly Mark[], flaw: Flaw): Mark[] {
  const last = marks.map((one) => one.flaw).lastIndexOf(flaw);
  if (last < 0) return [...marks];
  const { to } = marks[last];
  if (to !== null) return marks.with(last, { ...marks[last], to: null });
  return marks.filter((one) => one.flaw === flaw).length > 1 ? marks.toSpliced(last, 1) : marks.with(last, { ...marks[last], at: null });
}

export interface MarksFieldsProps {
  seen: readonly Flaw[];
  marks: readonly Mark[];
  footprint: Footprint;
  onChange(marks: Mark[]): void;
}

export function MarksFields({ seen, marks, footprint, onChange }: MarksFieldsProps) {
  const [chosen, setChosen] = useState<Flaw | null>(null);
  if (seen.length === 0) return null;
  const marking = chosen !== null && seen.includes(chosen) ? chosen : seen[seen.length - 1];
  const shown = marks.filter(({ flaw }) => seen.includes(flaw));
  const kindOf = (flaw: Flaw): Mark => marks.find((one) => one.flaw === flaw) ?? markOf(flaw);
  return (
    <View style={{ gap: space.small }}>
      {seen.filter(isCrack).map((flaw) => (
        <View key={flaw}>
          <Choice
            label={MARKS.edgesOf(FLAWS[flaw])}
            value={kindOf(flaw).edge ?? 'unsaid'}
            options={MARKS.edges}
            onChange={(edge) => onChange(withKind(marks, flaw, { edge: edge === 'unsaid' ? null : edge }))}
            testID={`edge-${flaw}`}
          />
          <Choice
            label={MARKS.courseOf(FLAWS[flaw])}
            value={kindOf(flaw).course ?? 'unsaid'}
            options={MARKS.courses}
            onChange={(course) => onChange(withKind(marks, flaw, { course: course === 'unsaid' ? null : course }))}
            testID={`course-${flaw}`}
          />
        </View>
      ))}
      {seen.filter(isBubble).map((flaw) => (
        <Choice
          key={flaw}
          label={MARKS.sizeOf(FLAWS[flaw])}
          value={kindOf(flaw).size ?? 'unsaid'}
          options={MARKS.sizes}
          onChange={(size) => onChange(withKind(marks, flaw, { size: size === 'unsaid' ? null : size }))}
          testID={`size-${flaw}`}
        />
      ))}
      {seen.length > 1 && (
        <Chips
          wraps
          label={MARKS.whichOne}
          value={marking}
          options={seen.map((flaw) => ({ value: flaw, title: capital(FLAWS[flaw]) }))}
          onChange={(flaw) => setChosen(flaw ?? marking)}
          testID="marking"
        />
      )}
      <Words size="label" tone="muted">
        {isCrack(marking) ? MARKS.tapEnds : MARKS.tapWhere(FLAWS[marking])}
      </Words>
      <View style={{ alignItems: 'flex-start', gap: space.hair }}>
        <MarksDrawing marks={shown} footprint={footprint} onSpot={(spot) => onChange(withSpot(marks, marking, spot))} />
        {kindOf(marking).at !== null && (
          <Action kind="plain" title={MARKS.removeLast} testID="mark-remove" onPress={() => onChange(withoutLast(marks, marking))} />
        )}
      </View>
    </View>
  );
}

const BOX = { width: 220, height: 160 };
/** Where it is only looked at. */
const SMALL_BOX = { width: 120, height: 80 };
const EDGE_PX = 8;

/** Its outline from above with what was marked; onSpot: told where it is touched. */
export function MarksDrawing({ marks, footprint, onSpot }: { marks: readonly Mark[]; footprint: Footprint; onSpot?(spot: Spot): void }) {
  const { colours } = useTheme();
  const touched = useRef<View>(null);
  const outline = outlineIn(footprint, onSpot ? BOX : SMALL_BOX);
  const placed = marks.filter((one) => one.at !== null);
  const words = placed.map(({ flaw }) => FLAWS[flaw]).join(', ');
  const drawing = (
    <Svg width={outline.width + 2 * EDGE_PX} height={outline.height + 2 * EDGE_PX} role="img" aria-label={MARKS.fromAbove(words)}>
      <G x={EDGE_PX} y={EDGE_PX}>
        <Path d={outline.path} fill={colours.surface} stroke={colours.ink} strokeWidth={1.5} />
        {placed.map((mark, i) => (
          <DrawnMark key={i} mark={mark} width={outline.width} height={outline.height} />
        ))}
      </G>
    </Svg>
  );
  if (!onSpot) return drawing;
  const spotAt = (clientX: number, clientY: number): Spot => {
    const box = elementOf(touched)?.getBoundingClientRect();
    const along = (at: number, from: number, length: number): number => Math.min(Math.max((at - from - EDGE_PX) / length, 0), 1);
    return box && clientX + clientY > 0 ? { x: along(clientX, box.left, outline.width), y: along(clientY, box.top, outline.height) } : { x: 0.5, y: 0.5 };
  };
  return (
    <Pressable
      ref={touched}
      role="button"
      aria-label={MARKS.markIt}
      testID="mark-where"
      // Enter has no place of its own: the middle.
      onPress={({ nativeEvent: { pageX, pageY } }) => onSpot(spotAt(pageX - window.scrollX, pageY - window.scrollY))}
    >
      {drawing}
    </Pressable>
  );
}

/** Cracks in a broken line, bubbles as rings, all else as a lozenge. */
function DrawnMark({ mark: { flaw, at, to, size }, width, height }: { mark: Mark; width: number; height: number }) {
  const { colours } = useTheme();
  if (at === null) return null;
  const [x, y] = [at.x * width, at.y * height];
  const stroke = { stroke: colours.warn, strokeWidth: 2.5, fill: 'none' } as const;
  if (isCrack(flaw) && to !== null) return <Path d={brokenLine(x, y, to.x * width, to.y * height)} {...stroke} />;
  if (isBubble(flaw)) return <Circle cx={x} cy={y} r={size === 'small' ? 4 : 8} {...stroke} />;
  return <Path d={`M${x} ${y - 7} L${x + 6} ${y} L${x} ${y + 7} L${x - 6} ${y} Z`} {...stroke} />;
}

const STEPS = 6;
const ASIDE_PX = 4;

/** From one place to another, a little to each side by turns. */
function brokenLine(x: number, y: number, toX: number, toY: number): string {
  const length = Math.hypot(toX - x, toY - y) || 1;
  const [across, down] = [(toY - y) / length, -(toX - x) / length];
  const points = Array.from({ length: STEPS + 1 }, (_, i) => {
    const aside = i === 0 || i === STEPS ? 0 : i % 2 === 0 ? ASIDE_PX : -ASIDE_PX;
    return `${(x + ((toX - x) * i) / STEPS + across * aside).toFixed(1)} ${(y + ((toY - y) * i) / STEPS + down * aside).toFixed(1)}`;
  });
  return `M${points.join(' L')}`;
}
