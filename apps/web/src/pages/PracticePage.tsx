import { PracticeScreen } from '@/kiln/practice/PracticeScreen';

export const PracticePage = () => <PracticeScreen />;
