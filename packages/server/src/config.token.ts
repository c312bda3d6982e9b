/** Where the configuration is found by those who need it. */
export const CONFIG = Symbol('config');
