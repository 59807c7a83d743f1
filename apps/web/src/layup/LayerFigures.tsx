/** What can be set of a layer: by the declaration of its form, each where it can be stepped or typed. */
import { type AskedOfLayer, type LaidLayer, askedOf, isPlaced, withFigure } from '@torvin/core/piece';
import {
  COUNT,
  PERCENT,
  STOCK,
  STREWN,
  formatArea,
  formatLength,
  formatMass,
  formatStock,
  formatStrewn,
  massFrom,
  massIn,
  otherUnits,
  readFigure,
  stockOf,
  strewnUnit,
  text,
} from '@torvin/core/units';
import { Fragment } from 'react';
import { useUnits } from '@/data/FormUnits';
import { Stepper } from '@/ui/Stepper';
import { Words } from '@/ui/Words';
import { countWords } from '@/ui/countWords';
import { clamp, nextOf, stepFrom } from '@/ui/stepFrom';
import { Count, Share, aTenth } from './HandSteppers';
import { strewnWithin } from './typed';
import { LAYER_FIGURES } from './words';
import { WORDS } from '@/ui/said';

interface LayerFiguresProps {
  layer: LaidLayer;
  /** That its glass comes in. */
  sizes_m: readonly number[];
  area_m2: number;
  /** Of its glass; not known where the glass is on no shelf. */
  density_kg_m3?: number;
  change(next: LaidLayer, what: string): void;
}

export function LayerFigures({ layer, sizes_m, area_m2, density_kg_m3, change }: LayerFiguresProps) {
  const over_m2 = area_m2 * ('cover' in layer ? (layer.cover ?? 1) : 1);
  return (
    <>
      {askedOf(layer).map((field) => (
        <Fragment key={`${layer.id} ${field.key}`}>
          <OneFigure {...{ field, sizes_m, over_m2 }} onValue={(value) => change(withFigure(layer, field, value), field.testID.replace('layer-', ''))} />
        </Fragment>
      ))}
      {isPlaced(layer) && <OnPlan count={layer.placed.length} cover={layer.cover ?? 0} />}
      {'perArea_kg_m2' in layer && <Melted perArea_kg_m2={layer.perArea_kg_m2} {...{ over_m2, density_kg_m3 }} />}
    </>
  );
}

interface OneFigureProps {
  field: AskedOfLayer;
  sizes_m: readonly number[];
  over_m2: number;
  onValue(value: number): void;
}

function OneFigure({ field, sizes_m, over_m2, onValue }: OneFigureProps) {
  const units = useUnits();
  const { of, label, name, value = 0, range, step, testID } = field;
  if (of === STREWN) return <Strewn {...{ value, range, over_m2, onValue, testID }} />;
  const given = { label, value, onValue, testID };
  if (of === PERCENT) return <Share {...given} {...{ name, range }} />;
  if (of === COUNT) return <Count {...given} {...{ name, range }} />;
  const isStock = of === STOCK;
  const written = isStock ? formatStock : formatLength;
  return (
    <Stepper
      {...given}
      read={(typed) => readFigure(typed, isStock ? { ...field, of: stockOf(sizes_m) } : field, units)}
      shown={written(value, units.length)}
      other={written(value, otherUnits(units).length)}
      stepped={(way) => (step === 'sizes' ? nextOf(sizes_m, value, way) : clamp(stepFrom(value, way, step ?? aTenth(value)), range))}
    />
  );
}

/** In round steps of about a tenth. */
const stepOf = (value: number): number => 10 ** Math.floor(Math.log10(Math.max(value, 1e-6) * 1.0001)) / 10;

/** By what lies on an area, and by the mass of all of it: one follows from the other. */
function Strewn({
  value,
  range,
  over_m2,
  onValue,
  testID,
}: Pick<OneFigureProps, 'over_m2' | 'onValue'> & { value: number; range: AskedOfLayer['range']; testID: string }) {
  const units = useUnits();
  const one = strewnUnit(units).kg_m2;
  const mass = massIn(value * over_m2, units.mass);
  return (
    <>
      <Stepper
        label={LAYER_FIGURES.laid}
        shown={formatStrewn(value, units)}
        other={formatStrewn(value, otherUnits(units))}
        read={(typed) => strewnWithin(typed, 'perArea', over_m2, units)}
        stepped={(way) => clamp(one * stepFrom(value / one, way, stepOf(value / one)), range)}
        onValue={onValue}
        testID={testID}
      />
      <Stepper
        label={WORDS.inAll}
        shown={formatMass(value * over_m2, units.mass)}
        other={formatMass(value * over_m2, otherUnits(units).mass)}
        read={(typed) => strewnWithin(typed, 'mass', over_m2, units)}
        stepped={(way) => clamp(massFrom(stepFrom(mass, way, stepOf(mass)), units.mass) / over_m2, range)}
        onValue={onValue}
        testID={`${testID}-all`}
      />
    </>
  );
}

function Melted({ perArea_kg_m2, over_m2, density_kg_m3 }: { perArea_kg_m2: number; over_m2: number; density_kg_m3?: number }) {
  const { length } = useUnits();
  const deep = density_kg_m3 === undefined ? '' : LAYER_FIGURES.deepOnceMelted(text(formatLength(perArea_kg_m2 / density_kg_m3, length)));
  return (
    <Words size="label" tone="muted">
      {LAYER_FIGURES.over(text(formatArea(over_m2, length)), deep)}
    </Words>
  );
}

/** Number and cover follow from where the parts lie. */
function OnPlan({ count, cover }: { count: number; cover: number }) {
  return (
    <Words size="label" tone="muted" testID="layer-placed">
      {LAYER_FIGURES.planMoveAdd(countWords(count, ...LAYER_FIGURES.partsLie), count, percent(cover))}
    </Words>
  );
}

const percent = (share: number): string => `${share < 0.095 ? (100 * share).toFixed(1) : Math.round(100 * share)} %`;
