/** A value, or why this body has none. */
export function possibly<T>(make: () => T): { value: T | null; trouble: string } {
  try {
    return { value: make(), trouble: '' };
  } catch (error) {
    return { value: null, trouble: error instanceof Error ? error.message : String(error) };
  }
}
