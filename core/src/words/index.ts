export * from './counted.ts';
export * from './firstLetter.ts';
export * from './escapeText.ts';
export * from './listedBy.ts';
export * from './sentence.ts';
