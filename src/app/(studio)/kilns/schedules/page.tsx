import { SchedulesPage } from '@/features/kilns/rooms/SchedulesPage';

export const metadata = { title: 'Schedules' };

export default SchedulesPage;
