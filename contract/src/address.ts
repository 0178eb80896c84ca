/**
 * Method and address of a call, its parameters and query written in.
 *
 * @example
 * addressOf('GET /api/courses/{courseId}', { params: { courseId: 'a b' } }); // { method: 'GET', path: '/api/courses/a%20b' }
 */
export function addressOf(
  call: string,
  { params = {}, query = {} }: { params?: object; query?: object },
): { method: string; path: string } {
  const [method, template] = call.split(' ') as [string, string];
  const values = params as Record<string, string | number>;
  const path = template.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(String(values[name])));
  const asked = Object.entries(query).filter(([, value]) => value !== undefined) as [string, unknown][];
  const search = new URLSearchParams(asked.map(([name, value]) => [name, String(value)])).toString();
  return { method, path: search ? `${path}?${search}` : path };
}
