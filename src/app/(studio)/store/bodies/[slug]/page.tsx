import { BodyPage } from '@/features/store/rooms/BodyPage';

export default BodyPage;
