import { CalendarPage } from '@/features/firings/rooms/CalendarPage';

export const metadata = { title: 'Calendar of firings' };

export default CalendarPage;
