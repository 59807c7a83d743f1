/** The run sheet, and what the first view shows of pieces: loaded as one file, with all that these and other pages share. */
export { PieceMark } from '@/pieces/PieceMark';
export { RunningSection } from '@/bench/RunningDrawing';
export { RunPage } from './RunPage';
