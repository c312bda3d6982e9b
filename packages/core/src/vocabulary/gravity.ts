/** Standard gravity, m/s². */
export const GRAVITY = 9.80665;

/** Kilograms that press as hard as a force. @example kgFromN(500) ≈ 51.0 */
export const kgFromN = (newtons: number) => newtons / GRAVITY;
/** The force with which a mass presses. @example newtonsFromKg(51) ≈ 500 */
export const newtonsFromKg = (kg: number) => kg * GRAVITY;
