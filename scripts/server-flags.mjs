/**
 * How Node runs the server. Its memory may grow to 512 MB, several times what a large studio needs: with less room it is tidied up sooner, and the rest is the
 * database’s. A limit in NODE_OPTIONS goes before it.
 */
export const SERVER_FLAGS = [
  '--enable-source-maps',
  ...(/max-old-space-size/.test(process.env.NODE_OPTIONS ?? '') ? [] : ['--max-old-space-size=512']),
];
