import { PiecePage } from '@/features/pieces/rooms/PiecePage';

export default PiecePage;
