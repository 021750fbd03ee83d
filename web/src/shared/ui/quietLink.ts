/** How a link looks that stands among quiet buttons. */
export const QUIET_LINK =
  "inline-flex min-h-12 items-center rounded border border-edge bg-sheet px-2.5 text-read hover:bg-tan";
