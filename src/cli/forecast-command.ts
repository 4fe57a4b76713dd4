import { answerBrief } from '@/core/plan/answer-brief';
import { answerCommand } from './answer-command';

/** `keen forecast`: from a brief to its plan. */
export const forecastCommand = answerCommand(
  'brief',
  `keen forecast BRIEF.json   print the plan of a brief
keen forecast -            read the brief from standard input`,
  answerBrief,
);
