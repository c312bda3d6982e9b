/** Makes an empty database, whatever stood under its name. @param server URL without a database, ending in a slash */
export function newDatabase(server: string, name: string): Promise<void>;
/** Copies tables and rows into a new database. @param server URL without a database, ending in a slash */
export function copyDatabase(server: string, from: string, to: string): Promise<void>;
