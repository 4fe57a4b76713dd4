/** Words of a card for the left hand: left is right, and right is left. A drawing is mirrored instead. */
export const forLeftHand = (words: string): string =>
  words.replace(/\b(left|right)\b/gi, (word) => {
    const other = word.toLowerCase() === 'left' ? 'right' : 'left';
    return word[0] === word[0]!.toUpperCase() ? `${other[0]!.toUpperCase()}${other.slice(1)}` : other;
  });
