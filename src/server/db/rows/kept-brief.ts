import { z } from 'zod';
import { upgradedBrief } from '@/core/formats/older-parting';

/** What a list says of a kept brief. */
export const setOfBrief = z.looseObject({ technique: z.string(), sections: z.number().optional() });

/** Enough of a kept brief to show it, as this version names things; whether it adds up is for `readBrief` to say. */
export const briefShape = z.preprocess(
  upgradedBrief,
  z.looseObject({ head: z.looseObject({}), set: setOfBrief }),
);
