import { readSequenceText } from '@clay-pot/core/exchange';
import { LIBRARY, METHODS } from '@clay-pot/core/library';

const TEXT = `Hands before the climb
20 min
method: Grip and iron

prepare
Wrist circles, arm forward, fist: 1x3 @40% tempo5-5 L,R <>

strength
3 rounds, rest 60, 20 % faster:
  Wrist curl, supported, light: 1x10 6kg L,R
  Reverse wrist curl, supported, light: 1x10 @40% L,R
`;

const { document, interpretations, faults } = readSequenceText(TEXT, {
  shelf: LIBRARY,
  methods: Object.values(METHODS),
});

/** A text as a coach writes it, and what is read from it. */
export const TEXT_EXAMPLE = {
  text: TEXT,
  message: { message: { summary: 'A message', value: { text: TEXT } } },
  read: { document, interpretations, faults },
};
