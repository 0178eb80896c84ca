declare module '*.css';
declare module '*.json?url' {
  const url: string;
  export default url;
}
declare module '@fontsource-variable/source-sans-3/wght.css';
declare module '@fontsource/source-serif-4/latin-400.css';
declare module '@fontsource/source-serif-4/latin-600.css';
declare module '@fontsource/source-serif-4/latin-400-italic.css';
