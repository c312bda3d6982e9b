/** The Chromium that tests, pictures and benches run in. */
export function chromiumPath(): string;
