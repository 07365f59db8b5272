/** A sentence that an older version froze as it stood, where a newer one has a code: shown as it was said. */
export interface AsSaid {
  code: 'asSaid';
  text: string;
}

export const asSaid = (text: string): AsSaid => ({ code: 'asSaid', text });
