/** class-transformer exports its metadata storage from this file only, and without types. */
declare module 'class-transformer/cjs/storage.js' {
  export const defaultMetadataStorage: never;
}
