import { MixPage } from '@/features/store/rooms/MixPage';

export default MixPage;
