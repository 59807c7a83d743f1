/** The single questions of flow by name, each answered by one formula of this folder. */
import { naturalDepth } from '../body/body';
import type { GlassConstants } from '../glass/constants';
import { fluidity, logViscosity, viscosityOf } from '../glass/viscosity';
import { type Filling, type Holes, drainedShare, workToDrain } from './drain';
import { equalHold } from './heatWork';
import { type Strewn, laceAfter } from './lace';
import { type Base, edgeRounding, reliefLeft } from './relief';
import { type Opening, drapeAfter, sagAfter, workToDrape, workToSag } from './sag';
import { squeezeWork } from './squeeze';
import { neckRadius, pressedDepth, puddleRadius, throughHole } from './spread';

export type FlowQuestion =
  | { of: 'viscosity'; temperature_C: number }
  | { of: 'holdForWork'; work_perPa: number; temperature_C: number }
  | { of: 'equalHold'; hold_s: number; from_C: number; to_C: number }
  | { of: 'naturalDepth' }
  | { of: 'relief'; width_m: number; depth_m: number; work_perPa: number; base?: Base }
  | { of: 'edgeRounding'; edge_m: number; work_perPa: number }
  | ({ of: 'sag'; sheet_m: number; work_perPa: number; mould_m?: number; stretching?: number } & Opening)
  | ({ of: 'workToSag'; sheet_m: number; drop_m: number; stretching?: number } & Opening)
  | { of: 'workToSqueeze'; sheet_m: number; radius_m: number; gap_m: number }
  | { of: 'drape'; overhang_m: number; sheet_m: number; work_perPa: number }
  | { of: 'workToDrape'; overhang_m: number; sheet_m: number; drop_m: number }
  | { of: 'puddle'; volume_m3: number; work_perPa: number }
  | { of: 'pressed'; radius_m: number; depth_m: number; force_N: number; work_perPa: number }
  | { of: 'throughHole'; radius_m: number; plate_m: number; head_m: number; work_perPa: number }
  | { of: 'neck'; grain_m: number; work_perPa: number }
  | ({ of: 'drained'; work_perPa: number } & Filling & Holes)
  | ({ of: 'workToDrain'; share: number } & Filling & Holes)
  | ({ of: 'openLace'; work_perPa: number } & Strewn);

export interface FlowAnswer {
  value: number;
  unit: 'log10 Pa·s' | 's' | 'm' | 'm³' | '1/Pa' | '1';
}

const inUnit = (unit: FlowAnswer['unit'], value: number): FlowAnswer => ({ value, unit });

export function askFlow(glass: GlassConstants, question: FlowQuestion): FlowAnswer {
  const vft = viscosityOf(glass);
  const q = question;
  switch (q.of) {
    case 'viscosity':
      return inUnit('log10 Pa·s', logViscosity(vft, q.temperature_C));
    case 'holdForWork':
      return inUnit('s', q.work_perPa / fluidity(vft, q.temperature_C));
    case 'equalHold':
      return inUnit('s', equalHold(vft, q.hold_s, q.from_C, q.to_C));
    case 'naturalDepth':
      return inUnit('m', naturalDepth(glass));
    case 'relief':
      return inUnit('1', reliefLeft(glass, q.width_m, q.depth_m, q.work_perPa, q.base));
    case 'edgeRounding':
      return inUnit('1', edgeRounding(glass, q.edge_m, q.work_perPa));
    case 'sag':
      return inUnit('m', sagAfter(glass, q, q.sheet_m, q.work_perPa, q.mould_m, q.stretching));
    case 'workToSag':
      return inUnit('1/Pa', workToSag(glass, q, q.sheet_m, q.drop_m, q.stretching));
    case 'workToSqueeze':
      return inUnit('1/Pa', squeezeWork(glass, q.sheet_m, q));
    case 'drape':
      return inUnit('m', drapeAfter(glass, q.overhang_m, q.sheet_m, q.work_perPa));
    case 'workToDrape':
      return inUnit('1/Pa', workToDrape(glass, q.overhang_m, q.sheet_m, q.drop_m));
    case 'puddle':
      return inUnit('m', puddleRadius(glass, q.volume_m3, q.work_perPa));
    case 'pressed':
      return inUnit('m', pressedDepth(q.radius_m, q.depth_m, q.force_N, q.work_perPa));
    case 'throughHole':
      return inUnit('m³', throughHole(glass, q, q.work_perPa));
    case 'drained':
      return inUnit('1', drainedShare(glass, q, q, q.work_perPa));
    case 'workToDrain':
      return inUnit('1/Pa', workToDrain(glass, q, q, q.share));
    case 'openLace':
      return inUnit('1', laceAfter(glass, q, q.work_perPa).open);
    case 'neck':
      return inUnit('m', neckRadius(glass, q.grain_m, q.work_perPa));
  }
}
