import { FiringPage } from '@/features/firings/rooms/FiringPage';

export default FiringPage;
