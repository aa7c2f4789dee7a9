/** What the lists of a build are called, by the names that their files have. A page needs no more of them than this. */
export const BUILD_LIST_TITLES = {
  worklog: 'Worklog',
  'inventory-as-built': 'Inventory as built',
  'inventory-as-planned': 'Inventory as planned',
  needed: 'Needed',
  'pick-list': 'Pick list',
  orders: 'Orders',
  spares: 'Spares',
  'came-from': 'What came from which box',
  mismatches: 'Mismatches',
  fading: 'Fading',
} as const;

export type BuildListName = keyof typeof BUILD_LIST_TITLES;
export const BUILD_LIST_NAMES = Object.keys(BUILD_LIST_TITLES) as BuildListName[];
