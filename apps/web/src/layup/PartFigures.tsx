/** Where the chosen parts lie, how they are turned and how large one is, each stepped or typed. */
import { type BodyNow, type Chosen, type LayStep, middleOf, moveParts, turnParts } from '@torvin/core/piece';
import { type PartOutline, partSides, wholeTurn } from '@torvin/core/plan';
import { LENGTH, formatLength, otherUnits, plainMeasure, readFigure } from '@torvin/core/units';
import { PART_RANGE_M } from '@torvin/core/contract';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { Stepper } from '@/ui/Stepper';
import { clamp, stepFrom } from '@/ui/stepFrom';
import { withinOf } from './planned';
import { placeWithin } from './typed';
import type { Layup } from './useLayup';
import { PART_FIGURES } from './words';
import { WORDS } from '@/ui/said';

const MILLIMETRE = 0.001;

interface PlacesProps {
  chosen: readonly Chosen[];
  body: BodyNow;
  layup: Layup;
  step: LayStep;
  edit(outcome: Parameters<Layup['edit']>[0], key?: string): void;
}

/** Two of them stand side by side where there is room. */
const Column = ({ children }: { children: ReactNode }) => <View style={{ flexGrow: 1, flexBasis: COLUMN_PX }}>{children}</View>;
const COLUMN_PX = 300;

/** From the left and from the front of the piece, to the middle of what is chosen. */
export function Places({ chosen, body, layup, step, edit }: PlacesProps) {
  const units = useUnits();
  const { left, right, front, back } = withinOf(body);
  const ids = chosen.map(({ id }) => id);
  const [x, y] = chosen.length === 1 ? [chosen[0].x_m, chosen[0].y_m] : middleOf(chosen);
  const one = units.length === 'in' ? 0.0254 / 16 : MILLIMETRE;
  const place = (label: string, from: number, to: number, value: number, move: (by: number) => void, testID: string) => (
    <Column key={`${ids.join()} ${label}`}>
      <Stepper
        label={label}
        shown={formatLength(value - from, units.length)}
        other={formatLength(value - from, otherUnits(units).length)}
        read={(typed) => placeWithin(typed, to - from, units.length)}
        stepped={(direction) => stepFrom(value - from, direction, one)}
        onValue={(wanted) => move(wanted + from - value)}
        testID={testID}
      />
    </Column>
  );
  return (
    <>
      {place(WORDS.fromLeft, left, right, x, (by) => edit(moveParts(layup.doc, step.id, ids, by, 0), `x ${ids.join()}`), 'part-x')}
      {place(WORDS.fromFront, front, back, y, (by) => edit(moveParts(layup.doc, step.id, ids, 0, by), `y ${ids.join()}`), 'part-y')}
      <Column key={`${ids.join()} turned`}>
        <Stepper
          label={PART_FIGURES.turned}
          shown={{ figure: chosen.length === 1 ? String(Math.round(chosen[0].turned_deg * 10) / 10).replace('-', '−') : '0', unit: '°' }}
          read={(typed) => readFigure(typed, { of: plainMeasure('°'), name: PART_FIGURES.theAngle, range: { least: -360, most: 360 } }, units)}
          stepped={(direction) => (chosen.length === 1 ? stepFrom(chosen[0].turned_deg, direction, 5) : 5 * direction)}
          onValue={(degrees) =>
            edit(turnParts(layup.doc, step.id, ids, wholeTurn(degrees - (chosen.length === 1 ? chosen[0].turned_deg : 0))), PART_FIGURES.turn(ids.join()))
          }
          testID="part-turned"
        />
      </Column>
    </>
  );
}

export function Sizes({ part, onOutline }: { part: Chosen; onOutline(outline: PartOutline): void }) {
  const units = useUnits();
  const { outline } = part;
  const size = (label: string, value: number, onValue: (metres: number) => void, testID: string) => (
    <Column key={`${part.id} ${label}`}>
      <Stepper
        label={label}
        shown={formatLength(value, units.length)}
        other={formatLength(value, otherUnits(units).length)}
        read={(typed) => readFigure(typed, { of: LENGTH, name: PART_FIGURES.thePart, range: PART_RANGE_M }, units)}
        value={value}
        stepped={(direction) => clamp(stepFrom(value, direction, units.length === 'in' ? 0.0254 / 16 : MILLIMETRE), PART_RANGE_M)}
        onValue={onValue}
        testID={testID}
      />
    </Column>
  );
  switch (outline.shape) {
    case 'rectangle':
    case 'oval':
      return (
        <>
          {size('wide', outline.width_m, (width_m) => onOutline({ ...outline, width_m }), 'part-wide')}
          {size('long', outline.length_m, (length_m) => onOutline({ ...outline, length_m }), 'part-long')}
        </>
      );
    case 'disc':
      return size('across', outline.diameter_m, (diameter_m) => onOutline({ shape: 'disc', diameter_m }), 'part-wide');
    case 'strip':
      return size('wide', outline.width_m, (width_m) => onOutline({ ...outline, width_m }), 'part-wide');
    case 'rod': {
      const { length_m, width_m } = partSides(part);
      const straight = outline.along_m.length === 2;
      const long = Math.max(length_m, width_m);
      return straight
        ? size(
            'long',
            long,
            (metres) => onOutline({ ...outline, along_m: outline.along_m.map(([x, y]) => [(x * metres) / long, (y * metres) / long] as const) }),
            'part-long',
          )
        : null;
    }
    default:
      return null;
  }
}
