import { answerWish } from '@/core/suggest/suggest';
import { answerCommand } from './answer-command';

/** `keen suggest`: from a head and what is wanted to a draft, and others that differ in kind. */
export const suggestCommand = answerCommand(
  'wish',
  `keen suggest WISH.json   print what to do on a head: a draft, others that differ in kind, and why
keen suggest -           read the wish from standard input`,
  answerWish,
);
