import type { ChairSet, OpenDialog } from './chair-set';
import type { ChairAction } from './more-dialog';

/** What can be done at the chair at any stage, as it stands at the end of *More*. */
export const alwaysMore = (onDialog: (dialog: OpenDialog) => void): readonly ChairAction[] => [
  { label: 'How it is done', hint: 'step by step, with drawings', key: 'c', run: () => onDialog('cards') },
  { label: 'Note', key: 'n', run: () => onDialog('note') },
  { label: 'Keys', key: '?', run: () => onDialog('keys') },
];

/** The steps before the set, where it has any: they can be told until it is taken down. */
export const prepAction = (
  { prep }: ChairSet,
  onDialog: (dialog: OpenDialog) => void,
): readonly ChairAction[] =>
  prep.length > 0
    ? [{ label: 'Before the set', hint: 'its steps, begun and done', key: 'b', run: () => onDialog('prep') }]
    : [];
