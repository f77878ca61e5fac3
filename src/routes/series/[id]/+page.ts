/** The desk is nothing without its script, and works everything out in the browser: the server sends the series alone. */
export const ssr = false;
