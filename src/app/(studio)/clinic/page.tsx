import { ClinicPage } from '@/features/clinic/rooms/ClinicPage';

export const metadata = { title: 'Clinic' };

export default ClinicPage;
