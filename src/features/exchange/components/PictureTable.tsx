import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { MONO } from '@/ui/theme';
import type { Chosen } from '../folder';

/** Pictures that have their piece: by what, how surely, and how far they are. */
export function PictureTable({ entries }: { entries: readonly Chosen[] }) {
  return (
    <Table size="small" aria-label="Pictures">
      <TableHead>
        <TableRow>
          <TableCell>File</TableCell>
          <TableCell>Piece</TableCell>
          <TableCell>Key</TableCell>
          <TableCell>Found by</TableCell>
          <TableCell>State</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {entries.map((entry, i) => (
          <TableRow key={`${i}${entry.file}`}>
            <TableCell>{entry.file}</TableCell>
            <TableCell sx={{ fontFamily: MONO }}>{entry.code}</TableCell>
            <TableCell>{entry.key}</TableCell>
            <TableCell>{entry.why}</TableCell>
            <TableCell>
              {entry.state}
              {entry.said ? `: ${entry.said}` : ''}
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}
