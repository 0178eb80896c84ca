export * from './against.ts';
export * from './beside.ts';
export * from './learning.ts';
export {
  readOwnWords,
  type Meaning,
  type NotUnderstood,
  type OwnPhrase,
  type OwnWordsRead,
  type Understood,
} from './ownWords.ts';
export * from './tags.ts';
