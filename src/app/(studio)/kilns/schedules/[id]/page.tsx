import { SchedulePage } from '@/features/kilns/rooms/SchedulePage';

export const metadata = { title: 'Schedule' };

export default SchedulePage;
