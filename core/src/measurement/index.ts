export * from './photo.ts';
export * from './sheet.ts';
