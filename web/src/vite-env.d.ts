declare module '*.css';
declare module '*.json?url' {
  const url: string;
  export default url;
}
declare module '@fontsource-variable/source-sans-3/wght.css';
declare module '@fontsource/source-serif-4/latin-400.css';
declare module '@fontsource/source-serif-4/latin-600.css';
declare module '@fontsource/source-serif-4/latin-400-italic.css';

/** The words of a language, for a part of the pages (`setup/words.mjs`). */
declare module '*.po?part=student' {
  const messages: Record<string, string>;
  export default messages;
}
declare module '*.po?part=workbench' {
  const messages: Record<string, string>;
  export default messages;
}

declare module '*.po?part=server' {
  const messages: Record<string, string>;
  export default messages;
}
