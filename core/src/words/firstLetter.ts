/** A text as a sentence begins: `upperFirst('bark smooth')` is “Bark smooth”. */
export const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A text as it stands within a sentence: `lowerFirst('Bark smooth')` is “bark smooth”. */
export const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
