import { PicturesPage } from '@/features/exchange/rooms/PicturesPage';

export const metadata = { title: 'Bring in pictures' };

export default PicturesPage;
