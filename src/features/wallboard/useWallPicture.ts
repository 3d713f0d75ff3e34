'use client';
/**
 * The picture of a board on this device: where the board lies in it, and its tiles, looked for in a worker.
 */
import { useEffect, useRef, useState } from 'react';
import { wrongWith, type Corners, type Spot } from '@/core/frame';
import type { BoardTile, Card, Grid } from '@/core/sight';
import { SURE } from '@/core/sight/sure';
import { boardIn, openPicture, tilesIn, type OpenPicture } from '../frames';

/** What a board is taken to be where none is found. */
const BY_HAND: Grid = {
  corners: [
    { x: 0.1, y: 0.9 },
    { x: 0.9, y: 0.9 },
    { x: 0.9, y: 0.1 },
    { x: 0.1, y: 0.1 },
  ],
  rows: 4,
  columns: 6,
};
const wrong = ({ corners }: Grid): string | null => wrongWith({ kind: 'corners', corners } satisfies Corners);

/** A corner that is being moved is waited for. */
const QUIET_MS = 300;

export type WallPicture = {
  file: File | null;
  picture: OpenPicture | null;
  grid: Grid | null;
  tiles: readonly BoardTile[];
  grey: Spot[] | null;
  looking: boolean;
  /** The tiles are those of the corners and counts in sight. */
  settled: boolean;
  /** What is to be looked at before it is believed, in words. */
  doubt: string | null;
  problem: string | null;
  open: (file: File | undefined) => Promise<void>;
  change: (part: Partial<Grid>) => void;
  /** Where the grey card’s steps lie, said or moved by whoever looks. */
  setGrey: (grey: Spot[]) => void;
  close: () => void;
};

export function useWallPicture(card: Card | null): WallPicture {
  const [file, setFile] = useState<File | null>(null);
  const [picture, setPicture] = useState<OpenPicture | null>(null);
  const [grid, setGrid] = useState<Grid | null>(null);
  const [tiles, setTiles] = useState<readonly BoardTile[]>([]);
  const [grey, setGrey] = useState<Spot[] | null>(null);
  const [looking, setLooking] = useState(false);
  const [settled, setSettled] = useState(false);
  const [doubt, setDoubt] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const waiting = useRef<ReturnType<typeof setTimeout>>(undefined);
  const asked = useRef(0);
  useEffect(() => () => URL.revokeObjectURL(picture?.url ?? ''), [picture]);
  useEffect(() => () => clearTimeout(waiting.current), []);
  const lookAt = (raster: OpenPicture['raster'], next: Grid): void => {
    clearTimeout(waiting.current);
    const id = ++asked.current;
    setSettled(false);
    if (wrong(next) !== null) return;
    waiting.current = setTimeout(() => {
      void tilesIn(raster, next).then((seen) => {
        // What was asked for later is what holds.
        if (id !== asked.current) return;
        setTiles(seen);
        setSettled(true);
      });
    }, QUIET_MS);
  };
  const close = (): void => {
    asked.current++;
    setFile(null);
    setPicture(null);
    setGrid(null);
    setTiles([]);
    setGrey(null);
    setDoubt(null);
    setSettled(false);
  };
  return {
    file,
    picture,
    grid,
    tiles,
    grey,
    looking,
    settled,
    doubt: (grid && wrong(grid)) ?? doubt,
    problem,
    close,
    setGrey,
    open: async (next) => {
      if (next === undefined) return;
      setProblem(null);
      try {
        const opened = await openPicture(next);
        close();
        const id = asked.current;
        setFile(next);
        setPicture(opened);
        setLooking(true);
        const seen = await boardIn(opened.raster, card);
        setLooking(false);
        // Another picture was chosen meanwhile.
        if (id !== asked.current) return;
        setGrey(seen.grey);
        setGrid(seen.board ?? BY_HAND);
        if (seen.board === null) lookAt(opened.raster, BY_HAND);
        else {
          setTiles(seen.tiles);
          setSettled(true);
        }
        setDoubt(
          seen.board === null
            ? 'No board stands out from its ground here: drag its four corners, and say how many rows and columns it has.'
            : seen.board.sure < SURE
              ? 'The gaps between its tiles are hard to see: look whether rows and columns are counted right.'
              : null,
        );
      } catch (error) {
        setProblem(error instanceof Error ? error.message : String(error));
      }
    },
    change: (part) => {
      if (grid === null || picture === null) return;
      const next = { ...grid, ...part };
      setGrid(next);
      lookAt(picture.raster, next);
    },
  };
}
