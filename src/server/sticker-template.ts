import type { BuildId, StripJobId } from '@/core/shared/ids';
import { fail, ok, type Result } from '@/core/shared/result';
import { cutProblemOf, cutsOfPlan, templateOf, type Paper } from '@/core/stickers';
import { judgeCut, type CutPlan } from '@/core/stickers/cutting';
import type { Handle } from '@/data/database';
import { openWorkbench } from './snapshot';
import { templatePdf } from './template-pdf';

export type TemplateFault =
  | { readonly refused: 'no such job' }
  /** The plan is not one for what is left now: another window cut something meanwhile. */
  | { readonly refused: 'changed'; readonly says: string };

/** The templates of a plan, once it is sure that it can be cut from what lies there now. */
export function makeStickerTemplate(
  handle: Handle,
  build: BuildId,
  id: StripJobId,
  plan: CutPlan,
  cautions: readonly string[],
  paper: Paper,
): Result<Promise<Buffer>, TemplateFault> {
  const workbench = openWorkbench(handle, build);
  const job = workbench?.records.stripJob.get(id);
  if (!workbench || !job) return fail({ refused: 'no such job' });
  const problem = cutProblemOf(workbench, job);
  const { fault } = judgeCut(problem, plan);
  if (fault) return fail({ refused: 'changed', says: fault });
  const drawings = templateOf(workbench, job, problem, cutsOfPlan(workbench, problem, plan));
  return ok(templatePdf(`${job.name}: templates at true size`, drawings, cautions, paper));
}
