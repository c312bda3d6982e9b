/** Writes all tables as they are at one instant. @returns how many rows */
export function writeBackup(url: string, file: string): Promise<number>;
/** Puts a backup in the place of a database. @returns how many rows */
export function readBackup(url: string, file: string): Promise<number>;
/** Writes the backup of a day where there is none, and forgets old ones. */
export function dailyBackup(url: string, now: Date, folder: string): Promise<void>;
