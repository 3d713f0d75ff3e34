import { CoatingEditPage } from '@/features/store/rooms/CoatingEditPage';

export default CoatingEditPage;
