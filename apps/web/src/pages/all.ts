/** The pages of one piece and one firing: what works on glass, and the first view does not need. Loaded as one file. */
export { AgainPage } from './AgainPage';
export { BesideRun } from './BesideRun';
export { ComparePage } from './ComparePage';
export { EditPiecePage } from './EditPiecePage';
export { FiringPage } from './FiringPage';
export { GivenPage } from './GivenPage';
export { KeyInPage } from './KeyInPage';
export { KilnPage } from './KilnPage';
export { NewPiecePage } from './NewPiecePage';
export { PiecePage } from './PiecePage';
export { PracticePage } from './PracticePage';
export { PrintPage } from './PrintPage';
export { ReckonPanel } from '@/reckon/ReckonPanel';
export { RecordFiringPage } from './RecordFiringPage';
export { RehearsalPage } from './RehearsalPage';
export { RunPage } from './RunPage';
export { TellPage } from './TellPage';
