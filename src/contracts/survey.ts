import { type SurveyAnswer } from '@/core/travel/survey';
import { type AxleView } from './job';

/**
 * The survey's answers as the core reads them. Slack read once the first height after the work was taken was read as built; all
 * other slack was read as the vehicle came in.
 */
export function surveyAnswers(view: Pick<AxleView, 'survey' | 'build' | 'readings'>): SurveyAnswer[] {
  const built = view.build
    ? view.readings
        .filter((r) => r.phase === 'after')
        .map((r) => r.takenAt)
        .toSorted()[0]
    : undefined;
  return view.survey.map(({ item, answer, slack, answeredAt }) => ({
    item,
    answer,
    slack,
    readAt: built !== undefined && answeredAt >= built ? 'built' : 'today',
  }));
}
