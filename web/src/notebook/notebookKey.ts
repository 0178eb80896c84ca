/** Under what the notebooks of a class are kept in the browser's cache. */
export const notebookKey = (courseId: string) => ['notebook', courseId] as const;
