import type { MeasureStepId } from './steps-known';

/** What each step asks, and how it is found out: as to a colleague. */
export const QUESTIONS: Readonly<Record<MeasureStepId, { readonly question: string; readonly how: string }>> =
  {
    who: {
      question: 'Who is it?',
      how: 'A name is enough. A child is set with lighter hands and in shorter sittings.',
    },
    length: {
      question: 'How long is it, pulled straight?',
      how: 'The same gentle pull everywhere, from the scalp to the tip.',
    },
    hangs: {
      question: 'And how long does it look as it hangs?',
      how: 'The same strand at the crown, let go: what it draws up by is worked out.',
    },
    coil: {
      question: 'Let one coil hang. What is it as wide as?',
      how: 'At the crown, clean and dry. Hold it in front; look where its edges fall.',
    },
    strand: {
      question: 'Roll one strand between two fingers, beside a sewing thread. Which is thicker?',
      how: 'One hair, not a clump. Close your eyes.',
    },
    dense: {
      question: 'How much scalp shows?',
      how: 'Look at the crown from above. Or gather all of it and put a tape round the ponytail.',
    },
    drinks: {
      question: 'Spray water on it three times. What does it do?',
      how: 'On a clean, dry lock. It is a rough sign only: product on the hair changes it.',
    },
    been: { question: 'What has it been through?', how: 'All that holds; nothing if it is as it grew.' },
    differs: {
      question: 'Where does it differ?',
      how: 'Often looser in front and tighter at the nape. What is the same stays as it is.',
    },
    scalp: { question: 'How is the scalp?', how: 'Part it in three places and look.' },
    reacts: {
      question: 'What does she react to?',
      how: 'In her own words: coconut, fragrance, a brand of dye. Ask before anything goes on.',
    },
    likes: { question: 'What does she like?', how: 'What should be true of every set. Two at most.' },
  };
