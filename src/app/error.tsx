'use client';
import Button from '@mui/material/Button';
import { Page } from '@/ui/Page';

export default function ErrorPage() {
  return (
    <Page title="This page could not be made">
      <p>
        The studio’s database or server does not answer just now. Nothing that was saved is lost.
      </p>
      <Button variant="contained" onClick={() => window.location.reload()}>
        Try again
      </Button>
    </Page>
  );
}
