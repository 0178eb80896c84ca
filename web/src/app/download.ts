/** Hands a file to the person at the browser, to be kept where they like. */
export function download(name: string, content: Blob | string, type = 'text/csv;charset=utf-8'): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(typeof content === 'string' ? new Blob([content], { type }) : content);
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}
