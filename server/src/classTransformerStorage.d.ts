/** The decorators’ memory of class-transformer, which its own types leave out; needed to draw schemas from the contract. */
declare module 'class-transformer/cjs/storage.js' {
  const storage: {
    defaultMetadataStorage: import('class-transformer/types/MetadataStorage.js').MetadataStorage;
  };
  export default storage;
}
