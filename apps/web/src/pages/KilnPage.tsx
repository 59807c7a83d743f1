import { KilnScreen } from '@/kiln/KilnScreen';

export const KilnPage = () => <KilnScreen />;
