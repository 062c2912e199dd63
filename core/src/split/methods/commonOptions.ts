import type { MethodOption } from '../base/method.ts';

/** Same yard or away. */
export const DISTANCE_OPTION = {
  id: 'distance',
  question: 'Where does the new part go?',
  schools: [
    {
      id: 'same-yard',
      label: 'Same yard',
      why: 'Most have one yard. Field bees fly back to the old stand; the plan allows for that.',
    },
    {
      id: 'away',
      label: 'Beyond 3 km (2 miles)',
      why: 'Nearly all bees stay with it. Needs a second place and a drive.',
    },
  ],
  default: 'same-yard',
} as const satisfies MethodOption;

/** Both parts on either side of the old stand: the field bees, coming home to the middle, divide. */
export const BESIDE_OPTION: MethodOption = {
  ...DISTANCE_OPTION,
  schools: [
    DISTANCE_OPTION.schools[0],
    {
      id: 'beside',
      label: 'Left and right of the old place',
      why: 'The field bees come home to the middle and divide. Move the weaker nearer when they do not.',
    },
    DISTANCE_OPTION.schools[1],
  ],
};

/** How much brood bees can cover on the nights to come. */
export const NIGHTS_OPTION: MethodOption = {
  id: 'nights',
  question: 'Nights to come',
  schools: [
    { id: 'mild', label: 'Mild', why: 'Bees spread over their brood.' },
    { id: 'cold', label: 'Below 10 °C (50 °F)', why: 'Bees draw together, so each part gets less brood.' },
  ],
  default: 'mild',
};

/** To feed a split, or not. */
export const FEED_OPTION: MethodOption = {
  id: 'feed',
  question: 'Feed the new part',
  schools: [
    {
      id: 'when-needed',
      label: 'When short',
      why: 'Only with under a frame of stores, or without field bees. Feed draws robbers to small colonies.',
    },
    {
      id: 'always',
      label: 'Always',
      why: 'A part without field bees builds and nurses better on 1:1 syrup.',
    },
  ],
  default: 'when-needed',
};
