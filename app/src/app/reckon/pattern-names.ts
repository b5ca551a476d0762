/** The patterns of Reckon by their addresses: all that must be known of them before one is opened. */
export const PATTERN_NAMES = {
  'number-line': 'A number line',
  'two-cards': 'Two cards at two numbers',
  'two-cuts': 'Two cuts, one difference',
  packet: 'Packet size to card',
  'count-down': 'Face card to place',
  'next-ranks': 'Next two ranks to packet size',
  'composed-card': 'Rank of one, suit of the next',
  gap: 'Neighbours to missing cards',
  'short-group': 'Short group to missing card',
  'key-card': 'Key card and bank after riffles',
  'dealt-back': 'Dealt back and dealt again',
} as const;

export type PatternPath = keyof typeof PATTERN_NAMES;
