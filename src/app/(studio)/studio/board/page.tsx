import { WallboardPage } from '@/features/wallboard/rooms/WallboardPage';

export const metadata = { title: 'Bring in a wall board' };

export default WallboardPage;
