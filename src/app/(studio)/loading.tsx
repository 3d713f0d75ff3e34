import { PageLoading } from '@/ui/PageLoading';

export default PageLoading;
