/** A sentence’s first letter large. @example capital('wrist flexors') → 'Wrist flexors' */
export const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
