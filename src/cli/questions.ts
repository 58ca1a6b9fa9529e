import { cancel, isCancel, multiselect, text } from '@clack/prompts';
import type { InitQuestions } from '../app/drafting/init.js';
import { DenseGlyphError } from '../errors.js';
import { safeLine } from './safe-text.js';

/** Asks a person at a terminal. */
export const questions: InitQuestions = {
  families: async (found) =>
    answered(
      await multiselect({
        message: 'Which families go into the kit?',
        options: found.map(({ family, use }) => ({
          value: family,
          label: safeLine(family, false),
          hint: use,
        })),
        initialValues: found.filter(({ isUsed }) => isUsed).map(({ family }) => family),
      }),
    ),
  role: async (family, guess, taken) =>
    answered(
      await text({
        message: `What is ${safeLine(family, false)} for? One word: body, heading, code, or your own`,
        initialValue: guess,
        validate: (role) => {
          if (!/^[a-z][a-z0-9-]*$/.test(role)) return 'small letters, digits and hyphens';
          return taken.includes(role) ? 'another family has this role' : undefined;
        },
      }),
    ),
  url: async (guess) => {
    const url = answered(
      await text({
        message: `By which URL do browsers ask for the kit, as ${safeLine(guess, false)}? Empty: relative to each page`,
        defaultValue: '',
        validate: (value) =>
          value === '' || /^(?:https?:\/\/[^/\s]+)?\/\S*$/.test(value)
            ? undefined
            : 'it starts with a slash or with https://',
      }),
    );
    return url === '' ? undefined : url;
  },
};

/** @throws DenseGlyphError `call-invalid` where the person left */
function answered<Answer>(answer: Answer | symbol): Answer {
  if (!isCancel(answer)) return answer;
  cancel('Nothing was written.');
  throw new DenseGlyphError(
    'call-invalid',
    'the questions were not answered',
    {},
    'without --ask the guesses are comments',
  );
}
