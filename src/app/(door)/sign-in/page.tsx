import { SignInPage } from '@/features/people/rooms/SignInPage';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Sign in' };

export default SignInPage;
