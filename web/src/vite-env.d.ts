declare module '*.css';
declare module '@fontsource-variable/source-sans-3/wght.css';
declare module '@fontsource-variable/source-serif-4/wght.css';
declare module '@fontsource-variable/source-serif-4/wght-italic.css';
