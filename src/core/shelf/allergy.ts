/** Words of a note on allergies that name nothing that could be in a product. */
const NOT_A_SUBSTANCE = new Set(
  'allergic allergy allergies anything avoid avoids children doctor everything from heavy itch itches itching known mild new none nothing often only patch patches product products rash reacts reaction reactions scalp sensitive severe skin some strong test tests that this very with without'.split(
    ' ',
  ),
);
const SHORTEST_WORD = 4;

/** Something that a note warns of and a product lists. */
export interface AllergyMatch {
  readonly product: string;
  readonly word: string;
}

const wordsOf = (text: string) =>
  text
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .filter(Boolean);
/** A plural and its singular are the same substance. */
const stem = (word: string) => word.replace(/(es|s)$/, '');

/**
 * Products whose ingredients name a word of the note on allergies. It finds the same word only: a substance under
 * another name is not found, so finding nothing proves nothing.
 */
export function allergyMatches(
  note: string,
  products: readonly { readonly name: string; readonly ingredients: string }[],
): AllergyMatch[] {
  const warned = wordsOf(note).filter((word) => word.length >= SHORTEST_WORD && !NOT_A_SUBSTANCE.has(word));
  return products.flatMap(({ name, ingredients }) => {
    const listed = new Set(wordsOf(ingredients).map(stem));
    const word = warned.find((warning) => listed.has(stem(warning)));
    return word ? [{ product: name, word }] : [];
  });
}
