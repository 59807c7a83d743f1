/** What a refused save says of the state that it ran into. */
import type { Problem } from '@torvin/core';
import type { Piece } from '@torvin/schema';
import { ApiProblem } from '@/data/client';

export const staleCurrent = (error: unknown): Piece | null =>
  error instanceof ApiProblem && error.problem.code === 'stale' && error.current ? (error.current as Piece) : null;

/** Why a save that was left undecided was not taken, where nothing else was said. */
export const STALE: Problem = { code: 'stale', path: '', message: 'the piece was changed elsewhere meanwhile.' };
