import { PracticeScreen } from '@/kiln/PracticeScreen';

export const PracticePage = () => <PracticeScreen />;
