export * from './drawing.ts';
export * from './lesson.ts';
export * from './looking.ts';
export * from './phrases.ts';
export * from './points.ts';
export * from './saying.ts';
export * from './topics.ts';
