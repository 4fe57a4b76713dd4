/** Where the pixels of a picture are. */
export const photoAddress = (id: string, size: 'jpeg' | 'thumb'): string =>
  `/api/v1/photos/${id}${size === 'thumb' ? '?size=thumb' : ''}`;
