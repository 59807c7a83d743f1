/** What a refused save says of the state that it ran into. */
import type { Piece } from '@torvin/schema';
import { ApiProblem } from '@/data/client';

export const staleCurrent = (error: unknown): Piece | null =>
  error instanceof ApiProblem && error.problem.code === 'stale' && error.current ? (error.current as Piece) : null;
