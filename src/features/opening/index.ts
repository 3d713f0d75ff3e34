/** Writing up an opening: piece after piece, or many alike, with or without a network. */
export {};
