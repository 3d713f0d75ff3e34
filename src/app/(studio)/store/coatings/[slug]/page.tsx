import { CoatingPage } from '@/features/store/rooms/CoatingPage';

export default CoatingPage;
