import { defineRecord, type RecordOf } from './define';
import { choice, list, number } from './fields';

/** The id of the one record of fading grades. */
export const FADING_GRADES_ID = 'fading';

/** The ΔE00 at which each grade of fading but the first begins, as the workspace set them. There is one, or none. */
export const fadingGrades = defineRecord({
  type: 'fadingGrades',
  table: 'fading_grades',
  fields: { id: choice([FADING_GRADES_ID]), from: list(number(0, 1000), 4, 4) },
  holds: {
    says: 'each larger than the one before',
    test: ({ from }) => from.every((v, i) => v > (from[i - 1] ?? 0)),
  },
});
export type FadingGrades = RecordOf<typeof fadingGrades>;
