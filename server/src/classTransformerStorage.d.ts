/** The decorators’ memory of class-transformer, which its own types leave out; needed to draw schemas from the contract. */
declare module 'class-transformer/cjs/storage.js' {
  import type { MetadataStorage } from 'class-transformer/types/metadata/MetadataStorage.js';
  const storage: { defaultMetadataStorage: MetadataStorage };
  export default storage;
}
