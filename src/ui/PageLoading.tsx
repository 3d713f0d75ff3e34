import Box from '@mui/material/Box';
import Skeleton from '@mui/material/Skeleton';

/** The shape of a page while it is being made. */
export function PageLoading() {
  return (
    <Box
      role="status"
      aria-label="The page is on its way"
      sx={{ px: { xs: 2, md: 4 }, py: { xs: 2, md: 3 }, maxWidth: 1280 }}
    >
      <Box sx={{ pb: 1.5, mb: 2.5, borderBottom: '2px solid', borderColor: 'text.primary' }}>
        <Skeleton width="min(320px, 70%)" height={44} />
        <Skeleton width="min(520px, 90%)" height={24} />
      </Box>
      {[0.9, 0.7, 0.8, 0.5].map((share) => (
        <Skeleton key={share} width={`${share * 100}%`} height={40} />
      ))}
    </Box>
  );
}
