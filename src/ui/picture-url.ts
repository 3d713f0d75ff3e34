/** Where a kept picture is read, at one of its sizes; through a share link by its id. */
export const pictureUrl = (sha: string, size: 'small' | 'medium' | 'large', share?: string | null): string =>
  `/api/pictures/${sha}/${size}${share ? `?share=${encodeURIComponent(share)}` : ''}`;
