/** A wall board of tiles: brought into the chart from one picture. */
export {};
