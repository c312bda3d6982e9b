/**
 * Does something while no other tab of this device does anything under the same name. Where the browser has no locks (a page that is not
 * served securely) it is done at once: whatever is sent may be sent twice.
 */
export async function exclusively<T>(name: string, work: () => Promise<T>): Promise<T> {
  const { locks } = ('navigator' in globalThis ? navigator : {}) as { locks?: LockManager };
  return locks ? locks.request(name, work) : work();
}
