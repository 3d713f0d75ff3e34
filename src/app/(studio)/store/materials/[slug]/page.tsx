import { MaterialPage } from '@/features/store/rooms/MaterialPage';

export default MaterialPage;
