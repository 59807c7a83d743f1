/** Every sheet of Reckon, in the order in which they stand side by side. A new one is added here. */
import type { QuantityName } from '@torvin/core/quantity';
import type { ComponentType } from 'react';
import { BlankSheet } from './BlankSheet';
import { ConversionSheet } from './ConversionSheet';
import { CuttingSheet } from './CuttingSheet';
import { FillSheet } from './FillSheet';
import { GrainsSheet } from './GrainsSheet';
import { HowMuchSheet } from './HowMuchSheet';
import { MixSheet } from './MixSheet';
import type { SheetProps } from './sheetProps';

export const SHEETS: Record<QuantityName, { title: string; Sheet: ComponentType<SheetProps> }> = {
  howMuch: { title: 'how much glass', Sheet: HowMuchSheet },
  fill: { title: 'how far it fills', Sheet: FillSheet },
  grains: { title: 'grains on an area', Sheet: GrainsSheet },
  mixes: { title: 'mixes', Sheet: MixSheet },
  cutting: { title: 'cutting', Sheet: CuttingSheet },
  blank: { title: 'blank for a form', Sheet: BlankSheet },
  conversions: { title: 'conversions', Sheet: ConversionSheet },
};
