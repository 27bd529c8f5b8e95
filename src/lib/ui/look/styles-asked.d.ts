/** Half of a stylesheet; scripts/styles says which. */
declare module '*.css?forms';
