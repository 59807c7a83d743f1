/**
 * Transient conduction through a stack, step by step: compiled to WebAssembly where the machine has it, which takes a third of the
 * time, and plain everywhere else. Both give the same bits.
 */
import { compiledSolver } from './compiledSolver';
import type { Drive } from './drive';
import { plainSolver } from './plainSolver';
import type { Faces, HeatSolver } from './solver';
import type { Mesh } from './stack';

export const heatSolver = (mesh: Mesh, faces: Faces, start_C: number, drive: Drive): HeatSolver =>
  compiledSolver(mesh, faces, start_C, drive) ?? plainSolver(mesh, faces, start_C, drive);
