export * from './photo.ts';
export * from './sheet.ts';
export * from './photoRecord.ts';
export * from './markedPhoto.ts';
