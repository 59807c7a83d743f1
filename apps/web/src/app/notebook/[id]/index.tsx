import { FiringPage } from '@/workbench';

export default function Page() {
  return <FiringPage />;
}
