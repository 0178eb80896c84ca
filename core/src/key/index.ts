export * from './appraise.ts';
export * from './arriving.ts';
export * from './build.ts';
export * from './edit.ts';
export * from './identify.ts';
export * from './key.ts';
export * from './lines.ts';
export * from './questions.ts';
