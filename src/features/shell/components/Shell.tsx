'use client';
import EventNote from '@mui/icons-material/EventNoteOutlined';
import GridOn from '@mui/icons-material/GridOnOutlined';
import Inventory from '@mui/icons-material/Inventory2Outlined';
import Kiln from '@mui/icons-material/LocalFireDepartmentOutlined';
import Search from '@mui/icons-material/Search';
import Clinic from '@mui/icons-material/TroubleshootOutlined';
import Settings from '@mui/icons-material/SettingsOutlined';
import Tiles from '@mui/icons-material/ViewColumnOutlined';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import dynamic from 'next/dynamic';
import Link from '@/ui/Link';
import { usePathname } from 'next/navigation';
import { useEffect, useState, type ComponentType, type ReactNode } from 'react';
import { Keeping, WaitingStrip } from '../../device';
import { SignInAgainHost } from './SignInAgainHost';

const Finder = dynamic(() => import('./Finder').then((module) => module.Finder), { ssr: false });

const Keys = dynamic(() => import('./Keys').then((module) => module.Keys), { ssr: false });

type Place = {
  href: string;
  label: string;
  Icon: ComponentType<{ 'aria-hidden'?: boolean }>;
  records: boolean;
};

const PLACES: readonly Place[] = [
  { href: '/bench', label: 'Bench', Icon: EventNote, records: true },
  { href: '/tests', label: 'Tests', Icon: Tiles, records: true },
  { href: '/store', label: 'Store', Icon: Inventory, records: true },
  { href: '/kilns', label: 'Kilns', Icon: Kiln, records: true },
  { href: '/chart', label: 'Chart', Icon: GridOn, records: false },
  { href: '/clinic', label: 'Clinic', Icon: Clinic, records: false },
  { href: '/mine', label: 'My pieces', Icon: Tiles, records: false },
  { href: '/studio', label: 'Studio', Icon: Settings, records: false },
];

const itemStyle = (active: boolean) => ({
  display: 'flex',
  flexDirection: 'column',
  gap: 0.25,
  alignItems: 'center',
  justifyContent: 'center',
  flex: { xs: 1, md: 'none' },
  minWidth: 0,
  minHeight: 58,
  py: 0.75,
  px: 0.25,
  fontSize: '0.8rem',
  fontWeight: 600,
  textDecoration: 'none',
  width: { md: '100%' },
  color: active ? 'background.paper' : 'text.primary',
  bgcolor: active ? 'text.primary' : 'transparent',
  '&:hover': active ? {} : { bgcolor: 'background.default' },
});

/** The rail of places, the search field, and the dialog that asks to sign in again. */
export function Shell({
  records,
  login,
  madeAt,
  children,
}: {
  records: boolean;
  login: string;
  /** When the page was made, ms. */
  madeAt: number;
  children: ReactNode;
}) {
  const path = usePathname();
  const [open, setOpen] = useState<'finder' | 'keys' | null>(null);
  useEffect(() => {
    const listen = (event: KeyboardEvent): void => {
      const field = (event.target as HTMLElement).closest('input, textarea, select, [contenteditable]');
      if (
        (event.key === '/' && field === null) ||
        (event.key.toLowerCase() === 'k' && (event.ctrlKey || event.metaKey))
      ) {
        event.preventDefault();
        setOpen('finder');
      } else if (event.key === '?' && field === null) setOpen('keys');
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
  const places = PLACES.filter((place) => (place.href === '/mine' ? !records : !place.records || records));
  return (
    <Box
      sx={{
        display: 'flex',
        minHeight: '100dvh',
        flexDirection: { xs: 'column-reverse', md: 'row' },
      }}
    >
      <Box
        component="a"
        href="#content"
        sx={{
          position: 'absolute',
          left: -9999,
          '&:focus': { left: 8, top: 8, zIndex: 2000, bgcolor: 'background.paper', p: 1 },
        }}
      >
        Skip to the page
      </Box>
      <Box
        component="nav"
        aria-label="Places"
        sx={{
          position: 'sticky',
          bottom: { xs: 0, md: 'auto' },
          top: { md: 0 },
          zIndex: 10,
          display: 'flex',
          flexDirection: { xs: 'row', md: 'column' },
          width: { md: 84 },
          height: { md: '100dvh' },
          flex: 'none',
          bgcolor: 'background.paper',
          borderTop: { xs: '1px solid', md: 0 },
          borderRight: { md: '1px solid' },
          borderColor: { xs: 'divider', md: 'divider' },
        }}
      >
        <ButtonBase
          onClick={() => setOpen('finder')}
          aria-label="Find a piece, a coating, a firing (press /)"
          sx={itemStyle(false)}
        >
          <Search aria-hidden />
          <span>Find</span>
        </ButtonBase>
        {places.map(({ href, label, Icon }) => {
          const active =
            path === href || path.startsWith(`${href}/`) || (href === '/tests' && path.startsWith('/pieces'));
          return (
            <Box
              key={href}
              component={Link}
              href={href}
              prefetch={false}
              aria-current={active ? 'page' : undefined}
              sx={{ ...itemStyle(active), ...(href === '/studio' ? { mt: { md: 'auto' } } : {}) }}
            >
              <Icon aria-hidden />
              <span>{label}</span>
            </Box>
          );
        })}
      </Box>
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Keeping madeAt={madeAt} />
        <WaitingStrip />
        {children}
      </Box>
      {open === 'finder' && <Finder onClose={() => setOpen(null)} />}
      {open === 'keys' && <Keys onClose={() => setOpen(null)} />}
      <SignInAgainHost login={login} />
    </Box>
  );
}
