export * from './bundle.ts';
export * from './bundleSchema.ts';
