import { ShelvesScreen } from '@/shelves/ShelvesScreen';

export default function ShelvesPage() {
  return <ShelvesScreen />;
}
