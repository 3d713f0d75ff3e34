import { MaterialsPage } from '@/features/store/rooms/MaterialsPage';

export const metadata = { title: 'Materials' };

export default MaterialsPage;
