/** A part of an address as it was written, or as it stands if it was cut or typed wrongly: `decoded('a%20b')` is `a b`. */
export const decoded = (part: string): string => {
  try {
    return decodeURIComponent(part);
  } catch {
    return part;
  }
};
